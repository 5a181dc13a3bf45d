import { livesOf } from '@exetasis/server/parts';
import { pumpById, rebuildsOf } from '@exetasis/server/pumps';
import { found, idFrom, scopeOf } from '$lib/server/request';
import { newestSheet } from '@exetasis/server/sheets';

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
