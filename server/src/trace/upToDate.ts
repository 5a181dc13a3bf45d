import { createHash } from 'node:crypto';
import { beyondAtInspection } from '@exetasis/core/decide';
import { groupBy } from '@exetasis/core/list';
import { countedSizes } from '@exetasis/core/trace';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { countInspections } from '../db/sql/countInspections';
import { lockCounting } from '../db/sql/lockCounting';
import { logMarks } from '../db/sql/logMarks';
import { sizesToCount } from '../db/sql/sizesToCount';
import { gaugesOf } from '../gauges';
import { newestSheets } from '../sheets';

/** Version of how inspections are counted; what another version counted is counted again. */
const METHOD = 2;
const PUMPS_AT_ONCE = 5; // so many that others are served between

/**
 * Counts the inspections and sizes of those of the shop's pumps whose record has grown since they were counted last. Answers with how far the record of
 * all of them has come: what is worked out from what is counted holds until this changes.
 */
export async function upToDate(scope: ShopScope): Promise<string> {
	const { grown, all } = await grownSince(scope);
	if (grown.length === 0) return all;
	return inTransaction(scope, async (within) => {
		await lockCounting(within);
		const { grown, all } = await grownSince(within);
		const pumpIds = grown.map(({ pumpId }) => pumpId);
		for (const counted of ['countedMark', 'countedSize', 'countedInspection', 'countedPump'] as const)
			await of(within, counted).remove({ pumpId: pumpIds });
		await countInspections(within, pumpIds);
		await countSizes(within, pumpIds);
		await of(within, 'countedPump').addAll(grown);
		return all;
	});
}

// Whether a size is beyond its limit follows from all its readings, gauges and temperatures: no statement knows that.
async function countSizes(scope: ShopScope, pumpIds: readonly string[]): Promise<void> {
	// One after the other: inside a transaction they share its one connection.
	const sheets = await newestSheets(scope);
	const gauges = await gaugesOf(scope);
	const stationOf = new Map(
		sheets.flatMap(({ model, stations }) => stations.map((station) => [`${model}/${station.key}`, station] as const))
	);
	for (let from = 0; from < pumpIds.length; from += PUMPS_AT_ONCE) {
		const sizes = await sizesToCount(scope, pumpIds.slice(from, from + PUMPS_AT_ONCE));
		const inspections = sizes.flatMap(({ model, readings, pumpHours, ...size }) => {
			const station = stationOf.get(`${model}/${size.station}`);
			const sheet = station?.characteristics.find(({ key }) => key === size.characteristic);
			const beyond = station && sheet && beyondAtInspection(station, sheet, { readings }, gauges);
			return beyond === undefined ? [] : [{ ...size, pumpHours, beyond }];
		});
		const counted = [...groupBy(inspections, ({ pump }) => pump).values()].flatMap(countedSizes);
		await of(scope, 'countedSize').addAll(
			counted.map(({ job, part, pump, pumpHours: _, ...size }) => ({ ...size, jobId: job, partId: part, pumpId: pump }))
		);
	}
}

interface Grown {
	readonly grown: readonly { readonly pumpId: string; readonly mark: string }[];
	readonly all: string;
}

async function grownSince(scope: ShopScope): Promise<Grown> {
	const [marks, counted] = await Promise.all([logMarks(scope, null), of(scope, 'countedPump').all()]);
	const known = new Map(counted.map(({ pumpId, mark }) => [pumpId, mark]));
	const now = marks.map(({ pump, mark }) => ({ pumpId: pump, mark: `${METHOD}/${mark}` }));
	return {
		grown: now.filter(({ pumpId, mark }) => known.get(pumpId) !== mark),
		all: createHash('sha256').update(JSON.stringify(now)).digest('hex')
	};
}
