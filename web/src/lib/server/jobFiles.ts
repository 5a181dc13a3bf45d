import type { LateWork } from '@exetasis/server/benchLog/late';
import type { Bench } from '@exetasis/server/jobs/bench';
import type { Letterhead } from '@exetasis/server/letterhead';
import { pdfOf } from '@exetasis/server/pdf';
import type { Shop } from '@exetasis/server/shops';
import { csvOf, xlsxOf } from '@exetasis/server/tableFile';
import { formatFor, type Notation } from '$lib/format/numbers';
import { customerReport, type ShownPhoto } from '$lib/report/customerReport';
import { reported } from '$lib/report/reportParts';
import { shopReport } from '$lib/report/shopReport';
import { sizeList } from '$lib/report/sizeList';

/** Files of a job, as bytes. The arguments are plain data, because the files are made in threads. */
export const files = {
	shopReport: (bench: Bench, notation: Notation, shop: Shop, late: readonly LateWork[]) =>
		pdfOf(
			shopReport(
				reported(
					bench,
					formatFor(() => notation)
				),
				shop,
				late
			)
		),
	customerReport: (
		bench: Bench,
		notation: Notation,
		shop: Shop,
		letterhead: Letterhead,
		photos: readonly ShownPhoto[]
	) =>
		pdfOf(
			customerReport(
				reported(
					bench,
					formatFor(() => notation)
				),
				shop,
				letterhead,
				photos
			)
		),
	sizesAsCsv: async (bench: Bench) => new TextEncoder().encode(csvOf(sizeList(bench).sizes)),
	sizesAsXlsx: (bench: Bench) => {
		const { sizes, readings } = sizeList(bench);
		return xlsxOf([
			{ name: 'Sizes', rows: sizes, bold: [0], widths: [28, 9, 22, 7, 11, 10, 13, 10, 10, 9, 26, 10] },
			{ name: 'Readings', rows: readings, bold: [0], widths: [28, 9, 22, 24, 10, 11, 7, 16, 26, 9, 25] }
		]);
	}
} as const;
export type FileTask = keyof typeof files;
