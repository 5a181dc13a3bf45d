import { documentsOf } from '@exetasis/server/documents/documents';
import { benchOf } from '@exetasis/server/jobs/bench';
import { foreseen } from '@exetasis/server/jobs/forecasts';
import { lastTimeOf } from '@exetasis/server/jobs/lastTime';
import { casesToWatch } from '@exetasis/server/trace/cases';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

export const load = async ({ locals, params }) => {
	const scope = scopeOf(locals);
	const bench = found(await benchOf(scope, idFrom(params.job)));
	const looked = bench.entries.some(({ kind }) => kind === 'finding' || kind === 'clean');
	return {
		// Until somebody has looked the work is at the steps, which ask for no odds.
		bench: looked ? await foreseen(scope.shopId, bench) : bench,
		looked,
		lastTime: await lastTimeOf(scope, bench.job),
		cases: await casesToWatch(scope, [bench.job.pumpId]),
		documents: await documentsOf(scope, bench.job.model),
		wrenches: userOf(locals).preferences.wrenches ?? {}
	};
};
