import { MOST_LISTED, pumpsOf } from '@exetasis/server/pumps';
import { pageFrom, scopeOf, textFrom } from '$lib/server/request';

export async function load({ locals, url }) {
	const find = textFrom(url, 'find');
	const page = pageFrom(url);
	const list = await pumpsOf(scopeOf(locals), { like: find, offset: page * MOST_LISTED, order: 'due' });
	return { ...list, find, page, pageSize: MOST_LISTED, pages: Math.max(1, Math.ceil(list.of / MOST_LISTED)) };
}
