import {
	ageNodes,
	dutyClassOf,
	dutyHours,
	fittingFleetWear,
	fittingCompetingFailures,
	lifePriorOf,
	toTheEnd,
	wearPriorOf,
	type Age,
	type AgeNode,
	type DeclaredDuty,
	type KindOnRecord,
	type LogRate,
	type CompetingFailures,
	type OtherLife,
	type Stretch,
	type WearKnowledge,
	type WearInspection
} from '../life';
import { groupBy } from '../list';
import { requireThat } from '../number';
import { discardLimit, type ModelSheet, type Reading, type SheetCharacteristic, type Station } from '../record';
import { measureCharacteristic, type ShopGauge } from './characteristic';
import type { EndReason } from './endOfLife';
import { cannotBeWear, type SetAside } from './setAside';

/** A rebuild on record: the pump's hours then, and the duty that was declared. */
export interface JobOnRecord {
	readonly pump: string;
	readonly pumpHours: number;
	readonly duty: DeclaredDuty;
}

/** One stay of a part in a pump. All hours are the pump's own count. */
export interface LifeOnRecord {
	readonly part: string;
	readonly pump: string;
	readonly station: string;
	/** Null where it came with the pump: no one knows when it was fitted. */
	readonly fittedHours: number | null;
	readonly firstSeenHours: number;
	readonly removedHours: number | null;
	readonly endReason: EndReason | null;
	/** Rebuilds in which someone looked at it. */
	readonly inspectedHours: readonly number[];
	readonly asFitted: Readonly<Partial<Record<string, number>>>;
}

/** The readings of one size of one part in one rebuild. */
export interface SizeOnRecord {
	readonly part: string;
	readonly pump: string;
	readonly characteristic: string;
	readonly pumpHours: number;
	readonly readings: readonly Pick<Reading['payload'], 'row' | 'column' | 'value' | 'gauge' | 'partC' | 'gaugeC'>[];
}

/** What a shop has on record of one model, oldest rebuild first. */
export interface FleetRecord {
	readonly jobs: readonly JobOnRecord[];
	readonly lives: readonly LifeOnRecord[];
	readonly sizes: readonly SizeOnRecord[];
}

/** What the shop's fleet says of how the parts of one model wear and end. */
export interface FleetKnowledge {
	/** By "station/characteristic"; what is not on record has its prior and is left out. */
	readonly wear: Readonly<Record<string, WearKnowledge>>;
	readonly ends: Readonly<Record<string, CompetingFailures>>;
	/** How hard each pump, and each class of duty beyond the sheet's factor, is on its parts. */
	readonly pumps: Readonly<Record<string, LogRate>>;
	readonly classes: Readonly<Record<string, LogRate>>;
	/** False where the fit did not come to rest; it is said on the screen. */
	readonly settled: boolean;
	/** Sizes that were left out because wear cannot have made them; said on the screen. None: not stated. */
	readonly setAside?: readonly SetAside[];
}

/** A pump's latest lives of one kind that count: more move nothing and cost time. Said in the documents. */
const LIVES_A_PUMP = 36;
/** The same of a whole fleet: in a large one fewer lives of each pump tell enough. */
const LIVES_A_KIND = 2400;

/**
 * The size of one inspection as all its places together tell it: in its unit, with u. Undefined for a form with too few places.
 * Shape: at least one reading. Errors: PreconditionError as `measureCharacteristic`.
 */
export function sizeAtInspection(
	station: Station,
	sheet: SheetCharacteristic,
	{ readings }: Pick<SizeOnRecord, 'readings'>,
	gauges: readonly ShopGauge[]
): { readonly value: number; readonly u: number } | undefined {
	const entries = readings.map((payload) => ({ payload }) as Reading);
	return measureCharacteristic(station.type, sheet, entries, gauges).estimate;
}

/**
 * Whether the size of one inspection, as all its places together tell it, is beyond its discard limit. Undefined without a limit, and for
 * a form with too few places. Shape and errors: as `sizeAtInspection`.
 */
export function beyondAtInspection(
	station: Station,
	sheet: SheetCharacteristic,
	size: Pick<SizeOnRecord, 'readings'>,
	gauges: readonly ShopGauge[]
): boolean | undefined {
	const limit = discardLimit(sheet);
	const estimate = limit && sizeAtInspection(station, sheet, size, gauges);
	return estimate && (estimate.value - limit.value) * (limit.value - sheet.nominal) > 0;
}

/**
 * A pump's running in stretches of one duty each, from its rebuilds: the duty declared at one is that of the hours before it.
 * Errors: PreconditionError for hours not finite.
 */
export const stretchesOf = (jobs: readonly JobOnRecord[], sheet: ModelSheet): Stretch[] =>
	jobs.map(({ pumpHours, duty }) => {
		requireThat(Number.isFinite(pumpHours), 'stretchesOf', 'pumpHours', pumpHours, 'a finite number');
		return { untilHours: pumpHours, wearFactor: dutyClassOf(duty, sheet).wearFactor };
	});

/**
 * What the record says of every kind of size, every pump, every class of duty, and of all other ends, by `fitFleetWear` and
 * `fitCompetingFailures`; a size that wear cannot have made is left out and named.
 * Shape: rebuilds oldest first; sizes and lives in any order. Errors: as those functions.
 */
export const learnFleet = (sheet: ModelSheet, record: FleetRecord, gauges: readonly ShopGauge[]): FleetKnowledge =>
	toTheEnd(learningFleet(sheet, record, gauges));

/** `learnFleet` in pieces of some milliseconds; other work can run between two pieces. */
export function* learningFleet(
	sheet: ModelSheet,
	record: FleetRecord,
	gauges: readonly ShopGauge[]
): Generator<void, FleetKnowledge> {
	const byPump = groupBy(record.jobs, ({ pump }) => pump);
	const stretches = new Map([...byPump].map(([pump, jobs]) => [pump, stretchesOf(jobs, sheet)]));
	const classOf = new Map([...byPump].map(([pump, jobs]) => [pump, dutyClassOf(jobs.at(-1)!.duty, sheet).key]));
	const sizes = groupBy(record.sizes, (size) => `${size.part}/${size.pump}/${size.characteristic}`);
	yield;
	const lives = groupBy(record.lives, ({ station }) => station);
	yield;
	const livesAPump = Math.max(1, Math.min(LIVES_A_PUMP, Math.floor(LIVES_A_KIND / byPump.size)));
	const kinds: KindOnRecord[] = [];
	const setAside: SetAside[] = [];
	for (const station of sheet.stations)
		for (const characteristic of station.characteristics) {
			const prior = wearPriorOf(station.type, characteristic);
			if (!prior) continue;
			const parts: KindOnRecord['parts'][number][] = [];
			for (const life of lastOfEachPump(lives.get(station.key) ?? [], livesAPump)) {
				const inspections = sizes.get(`${life.part}/${life.pump}/${characteristic.key}`) ?? [];
				const history = historyOnRecord(station, characteristic, life, inspections, stretches.get(life.pump)!, gauges);
				setAside.push(...history.setAside);
				if (history.inspections.length > 0) parts.push({ pump: life.pump, history });
				yield;
			}
			if (parts.length > 0) kinds.push({ key: `${station.key}/${characteristic.key}`, prior, parts });
		}
	const fitted = yield* fittingFleetWear(kinds, classOf);
	const ends = sheet.stations
		.filter(({ key }) => lives.has(key))
		.map((station) => ({
			station: station.key,
			type: station.type,
			prior: lifePriorOf(station),
			lives: lives.get(station.key)!.map(otherLife)
		}));
	return {
		wear: fitted.kinds,
		ends: yield* fittingCompetingFailures(ends),
		pumps: fitted.pumps,
		classes: fitted.classes,
		settled: fitted.settled,
		...(setAside.length > 0 ? { setAside } : {})
	};
}

const lastOfEachPump = (lives: readonly LifeOnRecord[], most: number): LifeOnRecord[] =>
	[...groupBy(lives, ({ pump }) => pump).values()].flatMap((own) =>
		[...own].sort((a, b) => a.firstSeenHours - b.firstSeenHours).slice(-most)
	);

const ageAtFirstSight = ({ fittedHours, firstSeenHours }: LifeOnRecord): Age =>
	fittedHours === null
		? { kind: 'unknown', seenFor: 0, atMost: Math.max(0, firstSeenHours) }
		: { kind: 'known', hours: 0 };
const beginning = ({ fittedHours, firstSeenHours }: LifeOnRecord): number => fittedHours ?? firstSeenHours;

/**
 * The size that wear began at: as fitted, or new where it is not known, or where it is no start (at its limit or past it).
 * Units: of the size. Errors: PreconditionError for sizes not finite. Source: our own convention.
 */
export function startOf(sheet: SheetCharacteristic, asFitted: LifeOnRecord['asFitted']): number {
	const limit = discardLimit(sheet)?.value;
	const fitted = asFitted[sheet.key];
	const isStart = limit !== undefined && fitted !== undefined && (limit - fitted) * (limit - sheet.nominal) > 0;
	const start = isStart ? fitted : sheet.nominal;
	requireThat(Number.isFinite(start), 'startOf', sheet.key, start, 'a finite number');
	return start;
}

function historyOnRecord(
	station: Station,
	sheet: SheetCharacteristic,
	life: LifeOnRecord,
	sizes: readonly SizeOnRecord[],
	stretches: readonly Stretch[],
	gauges: readonly ShopGauge[]
): { before: AgeNode[]; inspections: WearInspection[]; setAside: SetAside[] } {
	const from = beginning(life);
	const factor = stretches.find(({ untilHours }) => untilHours >= from)?.wearFactor ?? 1;
	const age = ageAtFirstSight(life);
	const before = ageNodes(age).map(({ hours, weight }) => ({ hours: hours * factor, weight }));
	const limit = discardLimit(sheet)!.value;
	const start = startOf(sheet, life.asFitted);
	const inspections: WearInspection[] = [];
	const setAside: SetAside[] = [];
	for (const size of sizes) {
		const { pump, pumpHours } = size;
		if (pumpHours < from || (life.fittedHours !== null && pumpHours === from)) continue;
		const estimate = sizeAtInspection(station, sheet, size, gauges);
		if (!estimate) continue;
		const hours = dutyHours(stretches, from, pumpHours);
		const ran = hours + (age.kind === 'unknown' ? age.atMost * factor : 0);
		const { value, u } = estimate;
		if (cannotBeWear(station, sheet, estimate, start, ran))
			setAside.push({ pump, station: station.key, characteristic: sheet.key, pumpHours, value, ran });
		else inspections.push({ hours, worn: (value - start) / (limit - start), u: u / Math.abs(limit - start) });
	}
	return { before, inspections: inspections.sort((a, b) => a.hours - b.hours), setAside };
}

// Found damaged when the pump was open: it happened since the inspection before. All other ends say only that it held so long.
function otherLife(life: LifeOnRecord): OtherLife {
	const from = beginning(life);
	const before = ageNodes(ageAtFirstSight(life));
	const damagedAt = life.endReason === 'damaged' ? life.removedHours! : undefined;
	const good = life.inspectedHours.filter((hours) => damagedAt === undefined || hours < damagedAt);
	const held = Math.max(0, ...good.map((hours) => hours - from));
	return damagedAt === undefined ? { before, held } : { before, held, endedBy: damagedAt - from };
}
