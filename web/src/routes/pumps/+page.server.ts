import { MOST_LISTED, pumpsOf } from '@exetasis/server/pumps';
import { stacksOf } from '@exetasis/server/sheets';
import { pageFrom, scopeOf, textFrom } from '$lib/server/request';

export async function load({ locals, url }) {
	const find = textFrom(url, 'find');
	const page = pageFrom(url);
	const scope = scopeOf(locals);
	const list = await pumpsOf(scope, { like: find, offset: page * MOST_LISTED, order: 'due' });
	const stacks = await stacksOf(
		scope,
		list.pumps.map(({ model }) => model)
	);
	return { ...list, stacks, find, page, pageSize: MOST_LISTED, pages: Math.max(1, Math.ceil(list.of / MOST_LISTED)) };
}
