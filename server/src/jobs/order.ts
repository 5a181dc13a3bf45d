import {
	around,
	consumables,
	neededParts,
	uncovered,
	type Bought,
	type CoverProblem,
	type Uncovered
} from '@exetasis/core/order';
import { applies, fold, together } from '@exetasis/core/record';
import { entriesOf } from '../benchLog/entries';
import type { ShopScope } from '../db/scope';
import { runHeavy } from '../background/heavy';
import { stockOf, type StockLine } from '../stock';
import { jobOf, type JobOnSheet } from './job';
import { laidParts } from './mat';

/** What a job has to have, what offers it, and what is cheapest to buy. */
interface JobOrder {
	readonly problem: CoverProblem;
	/** The cheapest cover of all that can be had; undefined where none was found in time. */
	readonly cheapest: Bought | undefined;
	/** Counts chosen by hand, by number of the offer, and all that is bought with them: the rest at least cost. */
	readonly chosen: Bought;
	readonly bought: Bought;
	/** False where the search for it was broken off: there may be a cheaper one. */
	readonly proved: boolean;
	readonly uncovered: readonly Uncovered[];
	readonly stock: readonly StockLine[];
	/** Names of what it is lubricated, sealed and cleaned with. */
	readonly consumables: readonly string[];
}

/** The number under which a single part is bought: the maker's own, else model and station. */
export const partNumber = (model: string, station: { readonly key: string; readonly number?: string }): string =>
	station.number ?? `${model.toUpperCase().slice(0, 3)} ${station.key}`;

const inDays = (days: number | undefined) => (days === undefined ? {} : { days });

/** Kits that fit this pump's variants, and every station as a single part. */
function offersOf({ sheet, job }: JobOnSheet): CoverProblem['offers'] {
	const kits = sheet.kits
		.filter(({ onlyWith }) => applies(onlyWith, job.variants))
		.map(({ number, price, deliveryDays, holds }) => ({ number, price, ...inDays(deliveryDays), holds }));
	const singles = sheet.stations.map((station) => ({
		number: partNumber(sheet.model, station),
		price: station.price,
		...inDays(station.deliveryDays),
		holds: [{ station: station.key, pieces: 1 }]
	}));
	return [...kits, ...singles];
}

/**
 * What is to be ordered for a job, by the decisions that stand, of what is here within so many days where that is asked;
 * undefined where the shop has no such job.
 */
export async function orderOf(
	scope: ShopScope,
	jobId: string,
	{ withinDays, chosen = {} }: { readonly withinDays?: number; readonly chosen?: Bought } = {}
): Promise<JobOrder | undefined> {
	const found = await jobOf(scope, jobId);
	if (!found) return undefined;
	const { sheet, job } = found;
	const state = fold(await entriesOf(scope, jobId));
	const { arrivals } = state;
	const places = together(sheet, job, await laidParts(scope, found), state).places.values();
	const here = (station: string) =>
		arrivals.reduce((sum, { payload }) => sum + (payload.station === station ? payload.pieces : 0), 0);
	const needs = neededParts(places).flatMap(({ station, pieces }) => {
		const left = pieces - here(station);
		return left > 0 ? [{ station, pieces: left }] : [];
	});
	const stock = await stockOf(scope, sheet.model);
	// What is always to be there stays in the drawer.
	const free = stock.map(({ station, pieces, floor }) => ({ station, pieces: Math.max(0, pieces - floor) }));
	const problem = {
		needs,
		offers: offersOf(found),
		stock: free,
		...(withinDays === undefined ? {} : { withinDays })
	};
	const keys = new Set(consumables(sheet, job));
	const known = new Set(problem.offers.map(({ number }) => number));
	const kept = Object.fromEntries(Object.entries(chosen).filter(([number]) => known.has(number)));
	const lacking = uncovered(problem);
	const most = new Map(lacking.map(({ station, available }) => [station, available]));
	const canBeHad = needs.map(({ station, pieces }) => ({ station, pieces: most.get(station) ?? pieces }));
	const wanted = { ...problem, needs: canBeHad };
	const cheapest = await runHeavy(scope.shopId, 'cheapestCover', wanted);
	const bought =
		Object.keys(kept).length > 0 ? await coverAround(scope.shopId, wanted, kept) : (cheapest?.bought ?? {});
	return {
		problem,
		cheapest: cheapest?.bought,
		bought,
		chosen: kept,
		proved: cheapest?.proved ?? false,
		uncovered: lacking,
		stock,
		consumables: sheet.products.filter(({ key }) => keys.has(key)).map(({ name }) => name)
	};
}

// The rest at least cost. What no other offer holds stays missing.
async function coverAround(shop: string, problem: CoverProblem, chosen: Bought): Promise<Bought> {
	const rest = around(problem, chosen);
	const most = new Map(uncovered(rest).map(({ station, available }) => [station, available]));
	const needs = rest.needs.map(({ station, pieces }) => ({ station, pieces: most.get(station) ?? pieces }));
	return { ...(await runHeavy(shop, 'cheapestCover', { ...rest, needs }))?.bought, ...chosen };
}
