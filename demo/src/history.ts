import type { Random } from './random';
import { pumps, type DemoPump } from './shop';
import { complaintOf } from './stories';

/** One visit of a pump to the shop. */
export interface Visit {
	readonly pump: DemoPump;
	readonly at: Date;
	readonly meterHours: number;
	readonly interval: number;
	readonly scope: string;
	readonly complaint: string;
	/** Years since the demo began. */
	readonly years: number;
	/** How far the work on it has got at the demo's present moment. */
	readonly stage: 'released' | 'stripping' | 'inspecting' | 'deciding' | 'building' | 'proving';
}

const YEARS = 4;
const MARRAM = 'Marram';
const HOURS_A_DAY = 24;
const DAY_MS = 86_400_000;
const YEAR_MS = 365 * DAY_MS;
const complaints = [
	'Planned, hours reached',
	'Water leak at the front',
	'Pressure low',
	'Pulsing pressure',
	'Drips at the weep hole'
];

/** Every visit of every demo pump in the four years before `now`, in order of time; two of them are still open. */
export function visits(now: Date, random: Random, fleet: readonly DemoPump[] = pumps): Visit[] {
	const start = now.getTime() - YEARS * 365 * DAY_MS;
	const closed = fleet.flatMap((pump) => visitsOf(pump, start, now.getTime() - 20 * DAY_MS, random));
	closed.sort((a, b) => a.at.getTime() - b.at.getTime());
	return [...closed, ...openVisits(now, closed, fleet)];
}

function* planned(pump: DemoPump, start: number, end: number, random: Random) {
	let time = start + random.between(5, 90) * DAY_MS;
	let meter = Math.round(random.between(200, 1500));
	let interval = meter;
	while (time < end) {
		yield { time, meter, interval };
		const early = pump.story === 'scoredPlungerKept' ? 0.55 : pump.story === 'oneSidedCylinder2' ? 0.75 : 1;
		interval = Math.round(random.between(1250, 1950) * early);
		meter += interval;
		time += (interval / pump.hoursAYear) * 365 * DAY_MS;
	}
}

function visitsOf(pump: DemoPump, start: number, end: number, random: Random): Visit[] {
	return [...planned(pump, start, end, random)].map(({ time, meter, interval }, index) => ({
		pump,
		at: new Date(time),
		meterHours: meter,
		interval,
		scope: scopeOf(pump, index, random),
		complaint: pump.story ? complaintOf[pump.story] : random.pick(complaints),
		years: (time - start) / YEAR_MS,
		stage: 'released'
	}));
}

// The other layouts are opened for everything; their few jobs are there to be looked at, not to be traced.
function scopeOf({ model, story, scope = 'full' }: DemoPump, index: number, random: Random): Visit['scope'] {
	if (model !== MARRAM || story === 'cavitatesInSummer' || index === 0 || index % 3 === 2) return scope;
	return random.chance(0.4) ? 'plunger' : 'packing';
}

// One pump waits to be stripped, one lies half inspected; of each other layout one is half inspected as well.
function openVisits(now: Date, closed: readonly Visit[], fleet: readonly DemoPump[]): Visit[] {
	const open = (pump: DemoPump, hoursAgo: number, stage: Visit['stage'], complaint: string): Visit => {
		const last = closed.findLast((visit) => visit.pump === pump)!;
		const interval = Math.round(((now.getTime() - last.at.getTime()) / DAY_MS / 365) * pump.hoursAYear);
		const at = new Date(now.getTime() - hoursAgo * (DAY_MS / HOURS_A_DAY));
		return {
			pump,
			at,
			meterHours: last.meterHours + interval,
			interval,
			scope: pump.scope ?? 'full',
			complaint,
			years: YEARS,
			stage
		};
	};
	const [ferry] = fleet;
	const quarry = fleet.find(({ story }) => story === 'scoredPlungerKept');
	// One of each other layout: half inspected, decided but not released, or waiting to be stripped, by turns.
	const others = fleet.filter(
		({ model }, i) => model !== MARRAM && fleet.findIndex((pump) => pump.model === model) === i
	);
	return [
		...(quarry
			? [
					open(quarry, 5, 'inspecting', 'Water leak at the front, again'),
					open(ferry, 2, 'stripping', 'Pressure low, drips at the weep hole')
				]
			: []),
		...others.map((pump, i) =>
			open(
				pump,
				26 + 20 * i,
				quarry ? 'inspecting' : (further[pump.model] ?? (['inspecting', 'deciding', 'stripping'] as const)[i % 3]),
				pump.story ? complaintOf[pump.story] : 'Planned, hours reached'
			)
		)
	];
}

/** Models of which the open job is further on: half together, or together and not proved. */
const further: Readonly<Record<string, 'building' | 'proving' | undefined>> = {
	Campion: 'building',
	Heather: 'proving'
};

/** A larger fleet for trying volume: the demo's pumps over and over, without their stories, under further serials. */
export function demoFleet(count: number): DemoPump[] {
	const marrams = pumps.filter(({ model }) => model === MARRAM);
	return Array.from({ length: count }, (_, i) => {
		const like = marrams[i % marrams.length];
		return i < pumps.length ? pumps[i] : { ...like, serial: `MAR-${1000 + i}`, tag: `Volume ${i}`, story: undefined };
	});
}
