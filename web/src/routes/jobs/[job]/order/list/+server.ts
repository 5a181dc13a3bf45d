import { error } from '@sveltejs/kit';
import { coverWith } from '@exetasis/core/order';
import { jobOf } from '@exetasis/server/jobs/job';
import { orderOf, partNumber } from '@exetasis/server/jobs/order';
import { orderAsCsv, orderAsPdf, orderAsXlsx, type OrderList } from '@exetasis/server/orderList';
import { shopOf } from '@exetasis/server/shops';
import { boughtSchema } from '$lib/forms/order';
import { fileNamed, found, idFrom, scopeOf } from '$lib/server/request';

const formats = {
	csv: { type: 'text/csv; charset=utf-8', make: orderAsCsv },
	xlsx: { type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', make: orderAsXlsx },
	pdf: { type: 'application/pdf', make: orderAsPdf }
} as const;

/** The order of a job as a file: what is asked for in `buy`, else the cheapest cover. */
export async function GET({ locals, params, url }) {
	const as = url.searchParams.get('as') ?? 'pdf';
	const format = formats[as as keyof typeof formats];
	if (!format) error(400, 'Choose csv, xlsx or pdf.');
	const scope = scopeOf(locals);
	const jobId = idFrom(params.job);
	const { sheet, job } = found(await jobOf(scope, jobId));
	const { problem, cheapest, consumables } = found(await orderOf(scope, jobId));
	const asked = boughtSchema.safeParse(parsed(url.searchParams.get('buy')));
	const cover = coverWith(problem, asked.success ? asked.data : (cheapest ?? {}));
	const nameOf = (number: string) =>
		sheet.kits.find((kit) => kit.number === number)?.name ??
		sheet.stations.find((station) => partNumber(sheet.model, station) === number)?.name ??
		number;
	const list: OrderList = {
		title: `Order for ${job.serial}, ${sheet.model}`,
		currency: (await shopOf(scope)).currency,
		lines: [
			...cover.buy.map(({ number, count }) => ({
				number,
				name: nameOf(number),
				count,
				price: problem.offers.find((offer) => offer.number === number)?.price ?? 0,
				from: 'order' as const
			})),
			...cover.fromStock.map(({ station: key, pieces }) => {
				const station = sheet.stations.find((candidate) => candidate.key === key)!;
				return {
					number: partNumber(sheet.model, station),
					name: station.name,
					count: pieces,
					price: 0,
					from: 'stock' as const
				};
			})
		],
		consumables
	};
	return fileNamed(`order-${job.serial}`, as, format.type, await format.make(list));
}

function parsed(text: string | null): unknown {
	try {
		return text === null ? undefined : JSON.parse(text);
	} catch {
		return undefined;
	}
}
