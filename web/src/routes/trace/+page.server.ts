import { pumpById, pumpsOf } from '@exetasis/server/pumps';
import { found, idFrom, scopeOf } from '$lib/server/request';
import { newestSheet } from '@exetasis/server/sheets';
import { traceOf } from '@exetasis/server/trace';

export async function load({ locals, url }) {
	const scope = scopeOf(locals);
	const asked = url.searchParams.get('pump');
	const id = asked ? idFrom(asked) : (await pumpsOf(scope, { rebuilds: 2, limit: 1 })).pumps[0]?.id;
	if (!id) return { pump: undefined, sheet: undefined, trace: undefined };
	const pump = found(await pumpById(scope, id));
	return {
		pump,
		sheet: (await newestSheet(scope, pump.model))?.body,
		trace: await traceOf(scope, id)
	};
}
