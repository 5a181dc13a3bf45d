import { error } from '@sveltejs/kit';
import { benchOf } from '@exetasis/server/jobs/bench';
import { foreseen } from '@exetasis/server/jobs/forecasts';
import { csvOf, xlsxOf } from '@exetasis/server/tableFile';
import { sizeList } from '$lib/report/sizeList';
import { fileNamed, found, idFrom, scopeOf } from '$lib/server/request';

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** All sizes of a job as a file: a workbook with their readings beside them, or the sizes alone as CSV. */
export async function GET({ locals, params, url }) {
	const bench = await foreseen(found(await benchOf(scopeOf(locals), idFrom(params.job))));
	const { sizes, readings } = sizeList(bench);
	const name = `sizes-${bench.job.serial}`;
	switch (url.searchParams.get('as') ?? 'xlsx') {
		case 'csv':
			return fileNamed(name, 'csv', 'text/csv; charset=utf-8', csvOf(sizes));
		case 'xlsx': {
			const book = await xlsxOf([
				{ name: 'Sizes', rows: sizes, bold: [0], widths: [28, 9, 22, 7, 11, 10, 13, 10, 10, 9, 26, 10] },
				{ name: 'Readings', rows: readings, bold: [0], widths: [28, 9, 22, 24, 10, 11, 7, 16, 26, 9, 25] }
			]);
			return fileNamed(name, 'xlsx', XLSX, book);
		}
		default:
			return error(400, 'The sizes come as csv or xlsx.');
	}
}
