import { MOST_LISTED, pumpsOf } from '@exetasis/server/pumps';
import { drawnSheetsOf } from '@exetasis/server/sheets';
import { pageFrom, scopeOf, textFrom } from '$lib/server/request';

export async function load({ locals, url }) {
	const find = textFrom(url, 'find');
	const page = pageFrom(url);
	const scope = scopeOf(locals);
	const list = await pumpsOf(scope, { like: find, offset: page * MOST_LISTED, order: 'due' });
	const models = new Set(list.pumps.map(({ model }) => model));
	const drawn = (await drawnSheetsOf(scope)).filter(({ model }) => models.has(model));
	const stacks = Object.fromEntries(drawn.map(({ model, stack }) => [model, stack]));
	return { ...list, stacks, find, page, pageSize: MOST_LISTED, pages: Math.max(1, Math.ceil(list.of / MOST_LISTED)) };
}
