// The truths that the product's forecasts are held against: the demo's own generator, and others that break its assumptions.
import { defaultPolicy, type Policy } from '../../core/src/decide';
import type { ModelSheet, Station } from '../../core/src/record';
import {
	allowanceOf,
	drawPopulation,
	newPart as demoPart,
	run as demoRun,
	pumps,
	type DemoPump,
	type Population,
	type Random,
	type TruePart
} from '../../demo/src';

/** One way in which parts truly wear, with everything that a reference may know of it. */
export interface World {
	readonly name: string;
	readonly policy: Policy;
	readonly population: Population;
	readonly fleet: readonly DemoPump[];
	/** Rates of parts of one kind about their typical one: gamma or lognormal, of the kind's scatter. */
	readonly rates: 'gamma' | 'lognormal';
	/** Wear is the steady process to this power. */
	readonly exponent: number;
	/** Hours of wear that a new part does beyond the steady ones, while it runs in. */
	readonly runsIn: number;
	/** Share of parts that are as old as their pump when it is first seen; the others have any age, evenly. */
	readonly asOldAsPump: number;
	/** Meter of a pump at first sight. */
	readonly firstMeter: { readonly from: number; readonly to: number };
	/** What each gauge shows beyond the truth, in its expanded uncertainties. */
	readonly gaugesOff: number;
}

const REALM = 'Marram';
const marrams = pumps.filter(({ model }) => model === REALM).map((pump) => ({ ...pump, story: undefined }));
const condition: Policy = { ...defaultPolicy, renewalPolicy: 'onCondition' };
const plain = {
	policy: condition,
	rates: 'lognormal' as const,
	exponent: 1,
	runsIn: 0,
	asOldAsPump: 0.5,
	firstMeter: { from: 200, to: 4000 },
	gaugesOff: 0
};
const UNLIKE = 0.5; // scatter of the logarithm of the harshness among pumps of unlike duty

/** All worlds by name; each is drawn again for each seed. */
export const worlds: Readonly<Record<string, (sheet: ModelSheet, random: Random) => World>> = {
	demo: (sheet, random) => ({
		...plain,
		name: 'the demo’s own',
		population: drawPopulation(sheet, random),
		fleet: marrams,
		rates: 'gamma',
		asOldAsPump: 1,
		firstMeter: { from: 200, to: 1500 }
	}),
	runsIn: (sheet, random) => ({
		...plain,
		name: 'lognormal rates, running in',
		population: drawPopulation(sheet, random),
		fleet: marrams,
		runsIn: 250
	}),
	speedsUp: (sheet, random) => ({
		...plain,
		name: 'wear that speeds up',
		population: drawPopulation(sheet, random),
		fleet: marrams,
		exponent: 1.35
	}),
	unlikeDuty: (sheet, random) => ({
		...plain,
		name: 'pumps of unlike duty',
		population: drawPopulation(sheet, random),
		fleet: marrams.map((pump) => ({ ...pump, harshness: Math.exp(random.normal(0, UNLIKE)) }))
	}),
	renewsSoft: (sheet, random) => ({
		...plain,
		name: 'all soft parts renewed',
		population: drawPopulation(sheet, random),
		fleet: marrams,
		policy: { ...condition, renewalPolicy: 'renewSoft' }
	}),
	gaugesOff: (sheet, random) => ({
		...plain,
		name: 'gauges off by half their certificate',
		population: drawPopulation(sheet, random),
		fleet: marrams,
		gaugesOff: 0.5
	})
};

const RUNS_IN_HOURS = 300;
/** Steady hours that a part of so many hours has worn by. */
export const wearHours = ({ runsIn }: World, hours: number): number =>
	hours + runsIn * -Math.expm1(-hours / RUNS_IN_HOURS);

/** A new part of this world: the demo's own, with lognormal rates where they are so. */
export function newPart({ population, rates }: World, station: Station, random: Random): TruePart {
	const part = demoPart(station, population, random);
	if (rates === 'gamma') return part;
	const rateOf = (key: string) => Math.exp(random.normal(0, population.kinds.get(`${station.key}/${key}`)!.between));
	return { ...part, rate: new Map(station.characteristics.map(({ key }) => [key, rateOf(key)])) };
}

/** Lets a part run. */
export function run(
	world: World,
	part: TruePart,
	station: Station,
	hours: number,
	harshness: number,
	random: Random
): void {
	const { population, exponent, runsIn } = world;
	if (exponent === 1 && runsIn === 0) return demoRun(part, station, population, hours, harshness, random);
	const steady = wearHours(world, part.hours + hours) - wearHours(world, part.hours);
	part.hours += hours;
	for (const characteristic of station.characteristics) {
		const allowance = allowanceOf(characteristic);
		if (allowance === 0) continue;
		const { hoursToLimit, shapePerLimit } = population.kinds.get(`${station.key}/${characteristic.key}`)!;
		const before = (part.wear.get(characteristic.key)! / allowance) ** (1 / exponent);
		const grown = random.gamma((shapePerLimit * steady * harshness) / hoursToLimit) / shapePerLimit;
		const share = (before + grown * part.rate.get(characteristic.key)!) ** exponent;
		part.wear.set(characteristic.key, share * allowance);
	}
}
