import { livesOf } from '$lib/server/parts';
import { pumpById, rebuildsOf } from '$lib/server/pumps';
import { found, idFrom, scopeOf } from '$lib/server/request';
import { newestSheet } from '$lib/server/sheets';

export async function load({ locals, params }) {
	const scope = scopeOf(locals);
	const pump = found(await pumpById(scope, idFrom(params.pump)));
	return {
		pump,
		sheet: (await newestSheet(scope, pump.model))?.body,
		rebuilds: await rebuildsOf(scope, pump.id),
		lives: await livesOf(scope, pump.id)
	};
}
