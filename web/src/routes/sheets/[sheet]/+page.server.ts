import { found, idFrom, scopeOf } from '$lib/server/request';
import { sheetById } from '$lib/server/sheets';

export const load = async ({ locals, params }) => ({
	sheet: found(await sheetById(scopeOf(locals), idFrom(params.sheet)))
});
