// Fleets in which nothing is wrong with any one cylinder: how often does anything stand out at all?
import {
	comparePlaces,
	countedInspections,
	falseDiscovery,
	harshnessOf,
	recurrences,
	standsOut,
	type CountedInspection,
	type EventsAtPlace,
	type PartInspection
} from '../../core/src/trace';
import { Random } from '../../demo/src';

const PUMPS = 12;
const CYLINDERS = 3;
const REBUILDS = 9;
const STATIONS = 16;
const PATTERNS = 3;

// Marks come at their pattern's rate, stay on kept parts, and now and then grow.
function inspectionsOf(random: Random, ratesPer1000h: readonly number[][]): PartInspection[] {
	const inspections: PartInspection[] = [];
	for (let station = 0; station < STATIONS; station++)
		for (let cylinder = 1; cylinder <= CYLINDERS; cylinder++) {
			let part = 0;
			let fittedHours: number | null = null;
			let marks = new Map<string, number>();
			for (let rebuild = 1; rebuild <= REBUILDS; rebuild++) {
				const pumpHours = 1500 * rebuild;
				for (const [pattern, rate] of ratesPer1000h[station].entries()) {
					const severity = marks.get(`${pattern}`) ?? 0;
					if (random.chance(-Math.expm1(-rate * 1.5)) && severity < 3) marks.set(`${pattern}`, severity + 1);
				}
				const found = [...marks].map(([pattern, severity]) => ({ pattern, severity, onset: 'service' as const }));
				inspections.push({
					part: `${station}/${cylinder}/${part}`,
					station: `${station}`,
					cylinder,
					pumpHours,
					fittedHours,
					marks: found
				});
				if (random.chance(0.3)) {
					part++;
					fittedHours = pumpHours;
					marks = new Map();
				}
			}
		}
	return inspections;
}

// What the shop's trace counts by place, as its statement does.
function eventsOf(pump: string, inspections: readonly (CountedInspection & { hours: number })[]): EventsAtPlace[] {
	const rows = new Map<string, EventsAtPlace>();
	const add = (station: string, cylinder: number, pattern: string | null, events: number, hours: number) => {
		const key = `${station}/${cylinder}/${pattern}`;
		const row = rows.get(key) ?? { pump, station, cylinder, pattern, events: 0, hours: 0 };
		rows.set(key, { ...row, events: row.events + events, hours: row.hours + hours });
	};
	for (const { station, cylinder, patterns, hours } of inspections) {
		add(station, cylinder, null, 0, hours);
		for (const pattern of patterns) add(station, cylinder, pattern, 1, 0);
	}
	return [...rows.values()];
}

export interface FalseAlarms {
	readonly fleets: number;
	/** Fleets without a cause in which anything stands out within a pump, and against the other pumps. */
	readonly alarms: number;
	readonly shopAlarms: number;
	/** Fleets in which a pump is called harsh as a whole: the first one, and any other. */
	readonly firstHarsh: number;
	readonly otherHarsh: number;
}

/** What pumps differ by. */
export type PumpRates =
	/** Nothing: all at the rates of their model. */
	| 'alike'
	/** The rates of each kind of event, over one and a half decades. */
	| 'own'
	/** One factor each on all their rates, over a decade. */
	| 'tenfold'
	/** The first pump has four times the rates of the others. */
	| 'firstHarsh';

const FACTOR: Readonly<Record<PumpRates, (random: Random, pump: number) => number>> = {
	alike: () => 1,
	own: () => 1,
	tenfold: (random) => 10 ** random.between(-0.5, 0.5),
	firstHarsh: (_, pump) => (pump === 0 ? 4 : 1)
};

/**
 * How often anything stands out in fleets without a cause at any one place: cylinders of a pump alike, pumps as `rates` says. Against other
 * pumps a pump of rates of its own may rightly stand out; where pumps differ by one factor only, no place of theirs may.
 */
export function falseAlarms(fleets: number, seed: number, rates: PumpRates): FalseAlarms {
	const random = new Random(seed);
	const drawn = () =>
		Array.from({ length: STATIONS }, () =>
			Array.from({ length: PATTERNS }, () => 0.02 * 10 ** random.between(-0.5, 1))
		);
	const count = { alarms: 0, shopAlarms: 0, firstHarsh: 0, otherHarsh: 0 };
	for (let fleet = 0; fleet < fleets; fleet++) {
		let any = false;
		const model = drawn();
		const rows: EventsAtPlace[] = [];
		for (let pump = 0; pump < PUMPS; pump++) {
			const factor = FACTOR[rates](random, pump);
			const own = (rates === 'own' ? drawn() : model).map((station) => station.map((rate) => rate * factor));
			const counted = countedInspections(inspectionsOf(random, own)).flatMap(({ hours, ...inspection }) =>
				hours === undefined ? [] : [{ ...inspection, hours }]
			);
			const [worst] = recurrences(counted);
			any ||= worst !== undefined && standsOut(worst, PUMPS);
			rows.push(...eventsOf(String(pump), counted));
		}
		if (any) count.alarms++;
		const harshness = harshnessOf('model', rows);
		const compared = comparePlaces(rows, () => 'model', undefined, new Map([['model', harshness]]));
		const qs = falseDiscovery(compared.map(({ p }) => p));
		if (qs.some((q) => q <= 0.05)) count.shopAlarms++;
		const harshQs = falseDiscovery(harshness.pumps.map(({ p }) => p));
		const harsh = harshness.pumps.filter((_, i) => harshQs[i] <= 0.05);
		if (harsh.some(({ pump }) => pump === '0')) count.firstHarsh++;
		if (harsh.some(({ pump }) => pump !== '0')) count.otherHarsh++;
	}
	return { fleets, ...count };
}
