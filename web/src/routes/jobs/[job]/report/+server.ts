import { metric } from '@exetasis/core/quantity';
import { lateWork } from '@exetasis/server/benchLog/late';
import { benchOf } from '@exetasis/server/jobs/bench';
import { foreseen } from '@exetasis/server/jobs/forecasts';
import { pdfOf } from '@exetasis/server/pdf';
import { shopOf } from '@exetasis/server/shops';
import { reportOf } from '$lib/report/report';
import { found, idFrom, fileNamed, scopeOf, userOf } from '$lib/server/request';

/** The report of a job for whoever owns the pump, in the reader's units. */
export async function GET({ locals, params }) {
	const scope = scopeOf(locals);
	const bench = await foreseen(found(await benchOf(scope, idFrom(params.job))));
	const units = userOf(locals).preferences.units ?? metric;
	return fileNamed(
		`report-${bench.job.serial}`,
		'pdf',
		'application/pdf',
		await pdfOf(reportOf(bench, await shopOf(scope), units, await lateWork(scope, bench.job.id)))
	);
}
