// Fleets with one bad lot, whose parts tear or wear, or with packings that are put on marked plungers: are they found by comparing groups?
import { compareWeibull, intervalCensored, rightCensored, type ObservedLife } from '../../core/src/survival';
import { AGE_BANDS_H, contrastGroups, type GroupedEvents } from '../../core/src/trace';
import { Random } from '../../demo/src';

const PUMPS = 12;
const CYLINDERS = 3;
const REBUILDS = 9;
const INTERVAL_H = 1500;
const LOTS = ['A', 'B', 'C', 'D', 'E', 'F'];
const BAD = 'C';
/** How many times as often a packing of the bad lot tears. */
const TIMES = 4;
const TORN_PER_1000H = 0.05;
const PATTERNS = ['lipTorn', 'extrudedHeel', 'hardened'];

/** Events and hours by lot in a fleet whose packings are renewed at every rebuild out of whichever lot is at hand. */
function fleetByLot(random: Random, planted: boolean): GroupedEvents[] {
	const at = { model: 'm', station: 'packing', age: 0, size: null };
	const rows = LOTS.map((group): GroupedEvents => ({ ...at, group, pattern: null, events: 0, hours: 0 }));
	const marks = LOTS.flatMap((group) =>
		PATTERNS.map((pattern): GroupedEvents => ({ ...at, group, pattern, events: 0, hours: 0 }))
	);
	const add = (list: GroupedEvents[], i: number, events: number, hours: number) =>
		(list[i] = { ...list[i], events: list[i].events + events, hours: list[i].hours + hours });
	for (let pump = 0; pump < PUMPS; pump++)
		for (let rebuild = 0; rebuild < REBUILDS; rebuild++) {
			const lot = Math.floor(random.uniform() * LOTS.length);
			for (let cylinder = 0; cylinder < CYLINDERS; cylinder++) {
				add(rows, lot, 0, INTERVAL_H);
				for (const [i] of PATTERNS.entries()) {
					const rate = TORN_PER_1000H * (planted && i === 0 && LOTS[lot] === BAD ? TIMES : 1);
					if (random.chance(-Math.expm1((-rate * INTERVAL_H) / 1000))) add(marks, lot * PATTERNS.length + i, 1, 0);
				}
			}
		}
	return [...rows, ...marks];
}

const STANDS_OUT = 0.05;

interface Told {
	readonly found: number;
	readonly alarms: number;
	readonly fleets: number;
}

// In how many fleets the bad lot is what stands out first, as the worse one, and in how many of those without one anything does.
function told(fleets: number, seed: number, fleetOf: (random: Random, planted: boolean) => GroupedEvents[]): Told {
	const random = new Random(seed);
	let [found, alarms] = [0, 0];
	for (let fleet = 0; fleet < fleets; fleet++) {
		const [first] = contrastGroups(fleetOf(random, true)).contrasts;
		const worse = first && first.events * first.others.hours > first.others.events * first.hours;
		if (worse && first.q <= STANDS_OUT && first.group === BAD && [PATTERNS[0], null].includes(first.pattern)) found++;
		if (contrastGroups(fleetOf(random, false)).contrasts.some(({ q }) => q <= STANDS_OUT)) alarms++;
	}
	return { found, alarms, fleets };
}

/** A lot that tears more often, among marks. */
export const badLots = (fleets: number, seed: number): Told => told(fleets, seed, fleetByLot);

const WORN_SHAPE = 3;
const WORN_SCALE_H = 5000;
/** How much sooner a spring of the bad lot passes its limit. */
const SOONER = 0.5;
const YEARS_OF_REBUILDS = 14;

/** Sizes beyond their limit by lot, in springs that stay in until they are: each lot was in the drawer for a while, so that old ones are of early lots. */
function wornByLot(random: Random, planted: boolean): GroupedEvents[] {
	const rows: GroupedEvents[] = [];
	for (let place = 0; place < PUMPS * CYLINDERS; place++) {
		let fitted = 0;
		let lives = 0;
		for (let rebuild = 0; rebuild < YEARS_OF_REBUILDS; rebuild++) {
			const group = LOTS[Math.floor((fitted * LOTS.length) / YEARS_OF_REBUILDS)];
			if (rebuild === fitted) lives = (-Math.log(random.uniform() || Number.MIN_VALUE)) ** (1 / WORN_SHAPE);
			const scale = WORN_SCALE_H * (planted && group === BAD ? SOONER : 1);
			const age = (rebuild + 1 - fitted) * INTERVAL_H;
			const beyond = lives * scale <= age;
			rows.push({
				...{ model: 'm', station: 'spring', size: 'freeLength', pattern: null, group },
				age: AGE_BANDS_H.filter((end) => age >= end).length,
				events: beyond ? 1 : 0,
				hours: INTERVAL_H
			});
			if (beyond) fitted = rebuild + 1;
		}
	}
	return rows;
}

/** A lot that wears out sooner, among sizes. */
export const wornLots = (fleets: number, seed: number): Told => told(fleets, seed, wornByLot);

const SHAPE = 2;
const SCALE_H = 3000;
/** How much shorter a packing lives on a marked plunger. */
const SHORTER = 0.5;
const MARKED_SHARE = 0.25;

/** In how many fleets packings on marked plungers are told from those on sound ones, and in how many where both live alike. */
export function markedMates(fleets: number, seed: number): { found: number; alarms: number; fleets: number } {
	const random = new Random(seed);
	const life = (scale: number): ObservedLife => {
		const hours = scale * (-Math.log(random.uniform() || Number.MIN_VALUE)) ** (1 / SHAPE);
		// Looked at every interval, and renewed at the second at the latest.
		const inspections = Math.floor(hours / INTERVAL_H);
		return inspections >= 2
			? rightCensored(2 * INTERVAL_H)
			: intervalCensored(inspections * INTERVAL_H, (inspections + 1) * INTERVAL_H);
	};
	const told = (shorter: number): boolean => {
		const [marked, sound]: [ObservedLife[], ObservedLife[]] = [[], []];
		for (let i = 0; i < PUMPS * CYLINDERS * 4; i++)
			if (random.chance(MARKED_SHARE)) marked.push(life(SCALE_H * shorter));
			else sound.push(life(SCALE_H));
		const compared = compareWeibull(marked, sound);
		return compared.kind === 'compared' && compared.pScale <= STANDS_OUT;
	};
	let [found, alarms] = [0, 0];
	for (let fleet = 0; fleet < fleets; fleet++) {
		if (told(SHORTER)) found++;
		if (told(1)) alarms++;
	}
	return { found, alarms, fleets };
}
