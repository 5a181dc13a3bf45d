import { found, idFrom, scopeOf } from '$lib/server/request';
import { sheetById } from '@exetasis/server/sheets';

export const load = async ({ locals, params }) => ({
	sheet: found(await sheetById(scopeOf(locals), idFrom(params.sheet)))
});
