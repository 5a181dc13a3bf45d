import { customsOf, firstTypes } from '@exetasis/core/draft';
import { documentsOf } from '@exetasis/server/documents/documents';
import { benchOf } from '@exetasis/server/jobs/bench';
import { foreseen } from '@exetasis/server/jobs/forecasts';
import { lastTimeOf } from '@exetasis/server/jobs/lastTime';
import { stillOpen } from '@exetasis/server/jobs/variants';
import { layoutSheets } from '@exetasis/server/layouts';
import { newestSheets } from '@exetasis/server/sheets';
import { shimsOf } from '@exetasis/server/stock';
import { casesToWatch } from '@exetasis/server/trace/cases';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

// Strip, Inspect, Build and Prove open without the network once one page of the job is open: all that they ask for is here.
export const load = async ({ locals, params }) => {
	const scope = scopeOf(locals);
	const bench = found(await benchOf(scope, idFrom(params.job)));
	const inspected = bench.entries.some(({ kind }) => kind === 'finding' || kind === 'clean');
	const works = !bench.job.releasedAt;
	const known =
		works && bench.sheet.provisional ? [...(await layoutSheets()), ...(await newestSheets(scope))] : undefined;
	const [shown, lastTime, cases, shims, documents] = await Promise.all([
		// Until a part has been inspected, the work is at the steps, which show no risk.
		inspected ? foreseen(scope.shopId, bench) : bench,
		lastTimeOf(scope, bench.job),
		casesToWatch(scope, [bench.job.pumpId]),
		shimsOf(scope),
		documentsOf(scope, bench.job.model)
	]);
	return {
		bench: shown,
		inspected,
		lastTime,
		cases,
		/** For laying parts down where the sheet grows with the strip. */
		grows: known && { customs: customsOf(known), first: firstTypes(known) },
		/** Variants that were not known at receiving. */
		open: works ? stillOpen(bench) : undefined,
		shims,
		documents,
		wrenches: userOf(locals).preferences.wrenches ?? {}
	};
};
