import { refitSoon } from '$lib/server/fleet';
import { benchOf } from '$lib/server/jobs';
import { found, idFrom, scopeOf } from '$lib/server/request';

export async function load({ locals, params }) {
	const scope = scopeOf(locals);
	const bench = found(await benchOf(scope, idFrom(params.job)));
	refitSoon(scope, bench.sheet, bench.gauges);
	return { bench };
}
