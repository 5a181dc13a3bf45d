import { refitSoon } from '@exetasis/server/fleet';
import { benchOf } from '@exetasis/server/jobs/bench';
import { found, idFrom, scopeOf } from '$lib/server/request';

export async function load({ locals, params }) {
	const scope = scopeOf(locals);
	const bench = found(await benchOf(scope, idFrom(params.job)));
	refitSoon(scope, bench.sheet, bench.gauges);
	return { bench };
}
