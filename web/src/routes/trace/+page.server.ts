import { pumpById, pumpsOf } from '@exetasis/server/pumps';
import { found, idFrom, scopeOf, textFrom } from '$lib/server/request';
import { newestSheet } from '@exetasis/server/sheets';
import { traceOf } from '@exetasis/server/trace';

export async function load({ locals, url }) {
	const scope = scopeOf(locals);
	const find = textFrom(url, 'find');
	const { pumps, of } = await pumpsOf(scope, { like: find, rebuilds: 2 });
	const asked = url.searchParams.get('pump');
	const id = asked ? idFrom(asked) : pumps[0]?.id;
	if (!id) return { pumps, of, find, pump: undefined, sheet: undefined, trace: undefined };
	const pump = found(await pumpById(scope, id));
	return {
		pumps,
		of,
		find,
		pump,
		sheet: (await newestSheet(scope, pump.model))?.body,
		trace: await traceOf(scope, id)
	};
}
