import { LRUCache } from 'lru-cache';
import { groupBy } from '@exetasis/core/list';
import {
	countedInspections,
	recurrences,
	standsOut,
	type CountedInspection,
	type Recurrence
} from '@exetasis/core/trace';
import { of, type ShopScope } from '../db/scope';
import type { FoundWrong } from '@exetasis/core/record';
import { foundAt, type FoundAt } from '../db/sql/foundAt';
import { logMarks } from '../db/sql/logMarks';
import { inspections, type InspectionOnRecord } from '../db/sql/inspections';

/** One look at one place, as it counts, for the chart of a recurrence over the pump's hours. */
export interface InspectionInTime extends CountedInspection {
	readonly job: string;
	readonly receivedAt: Date;
}

/** How often an earlier assembly had left a place of a pump wrong, and when that was last found. */
interface FoundWrongAtPlace {
	readonly station: string;
	readonly cylinder: number;
	readonly wrong: FoundWrong;
	readonly times: number;
	readonly last: Date;
}

export interface PumpTrace {
	readonly recurrences: Recurrence[];
	readonly inspections: InspectionInTime[];
	/** Inspections that could not count: no earlier inspection at the place and no recorded fitting, so that their hours are unknown. */
	readonly withoutExposure: number;
	/** What an earlier assembly had left wrong, found when the pump was opened. */
	readonly foundWrong: readonly FoundWrongAtPlace[];
	/** Marks kept out: made while stripping, by an earlier assembly, or by no one knows what. */
	readonly keptOut: { readonly handling: number; readonly assembly: number; readonly unknown: number };
}

/** What recurs on one pump, place by place, counted by `countedInspections`. */
export async function traceOf(scope: ShopScope, pumpId: string): Promise<PumpTrace> {
	return { ...traceFrom(await inspections(scope, [pumpId])), foundWrong: wrongOf(await foundAt(scope, pumpId)) };
}

/** The same of several pumps, without what was found wrong. */
export async function tracesOf(
	scope: ShopScope,
	pumpIds: readonly string[]
): Promise<Map<string, Omit<PumpTrace, 'foundWrong'>>> {
	const found = groupBy(await inspections(scope, pumpIds), ({ pump }) => pump);
	return new Map([...found].map(([pump, seen]) => [pump, traceFrom(seen)]));
}

// Place by place, the most frequent first.
function wrongOf(found: readonly FoundAt[]): FoundWrongAtPlace[] {
	const places = groupBy(
		found.filter(({ wrong }) => wrong !== null),
		({ station, cylinder, wrong }) => `${station}/${cylinder}/${wrong}`
	);
	return [...places.values()]
		.map((all) => ({
			station: all[0].station,
			cylinder: all[0].cylinder,
			wrong: all[0].wrong!,
			times: all.length,
			last: new Date(Math.max(...all.map(({ receivedAt }) => receivedAt.getTime())))
		}))
		.sort(
			(a, b) =>
				b.times - a.times ||
				b.last.getTime() - a.last.getTime() ||
				a.station.localeCompare(b.station) ||
				a.wrong.localeCompare(b.wrong)
		);
}

function traceFrom(found: readonly InspectionOnRecord[]): Omit<PumpTrace, 'foundWrong'> {
	const counted = countedInspections(found);
	const exposed = counted.flatMap(({ hours, ...inspection }) =>
		hours === undefined ? [] : [{ ...inspection, hours }]
	);
	const keptOut = { handling: 0, assembly: 0, unknown: 0 };
	for (const inspection of counted) for (const onset of inspection.keptOut) keptOut[onset]++;
	return {
		recurrences: recurrences(exposed),
		inspections: counted,
		withoutExposure: counted.length - exposed.length,
		keptOut
	};
}

// What a pump's log says holds until its log grows. Everybody who looks at the Floor asks for the same pumps.
const worst = new LRUCache<string, { readonly mark: string; readonly recurrence?: Recurrence }>({ max: 5000 });

/** What stands out on each of these pumps, all their comparisons and all the shop's pumps allowed for; where nothing does, none. */
export async function alarmsOf(scope: ShopScope, pumpIds: readonly string[]): Promise<Record<string, Recurrence>> {
	const key = (pump: string) => `${scope.shopId}/${pump}`;
	const [marks, pumps] = await Promise.all([logMarks(scope, pumpIds), of(scope, 'pump').count()]);
	const standing = new Map<string, Recurrence | undefined>();
	const stale = marks.filter(({ pump, mark }) => {
		const known = worst.get(key(pump));
		if (known?.mark !== mark) return true;
		standing.set(pump, known.recurrence);
		return false;
	});
	const pumpsToTrace = stale.map(({ pump }) => pump);
	const found = pumpsToTrace.length > 0 ? await inspections(scope, pumpsToTrace) : [];
	for (const { pump, mark } of stale) {
		const [recurrence] = traceFrom(found.filter((inspection) => inspection.pump === pump)).recurrences;
		worst.set(key(pump), { mark, recurrence });
		standing.set(pump, recurrence);
	}
	return Object.fromEntries(
		pumpIds.flatMap((id) => {
			const recurrence = standing.get(id);
			return recurrence && standsOut(recurrence, pumps) ? [[id, recurrence]] : [];
		})
	);
}
