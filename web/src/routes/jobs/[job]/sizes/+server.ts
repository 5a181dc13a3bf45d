import { error } from '@sveltejs/kit';
import { benchOf } from '@exetasis/server/jobs/bench';
import { foreseen } from '@exetasis/server/jobs/forecasts';
import { fileInThread } from '$lib/server/fileInThread';
import { fileNamed, found, idFrom, scopeOf } from '$lib/server/request';

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** All sizes of a job as a file: a workbook with their readings beside them, or the sizes alone as CSV. */
export async function GET({ locals, params, url }) {
	const { shopId } = scopeOf(locals);
	const bench = await foreseen(shopId, found(await benchOf(scopeOf(locals), idFrom(params.job))));
	const name = `sizes-${bench.job.serial}`;
	switch (url.searchParams.get('as') ?? 'xlsx') {
		case 'csv':
			return fileNamed(name, 'csv', 'text/csv; charset=utf-8', await fileInThread(shopId, 'sizesAsCsv', bench));
		case 'xlsx':
			return fileNamed(name, 'xlsx', XLSX, await fileInThread(shopId, 'sizesAsXlsx', bench));
		default:
			return error(400, 'Choose csv or xlsx.');
	}
}
