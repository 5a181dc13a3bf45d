import { lifePriorOf, openRate, scatterSpread, wearPriorOf } from '@exetasis/core/life';
import { discardLimit, type ModelSheet, type SheetCharacteristic, type Station } from '@exetasis/core/record';
import type { Random } from './random';

/** The true condition of one part, which only the demo knows. */
export interface TruePart {
	/** Wear of each characteristic, in its unit, towards the limit. */
	readonly wear: Map<string, number>;
	/** This part's own rate against its kind's (drawn once: some parts wear faster all their lives). */
	readonly rate: Map<string, number>;
	/** Hours at which something other than wear damages it. */
	readonly damagedAt: number;
	hours: number;
}

/** How one kind truly wears and ends, drawn once for a shop from what sheet and part types believe. */
interface TrueKind {
	/** Hours in which a typical part wears to its limit, scatter of rates between parts, and gamma shape by the limit. */
	readonly hoursToLimit: number;
	readonly between: number;
	readonly shapePerLimit: number;
}
export interface Population {
	readonly kinds: ReadonlyMap<string, TrueKind>;
	readonly ends: ReadonlyMap<string, { readonly scaleHours: number; readonly shape: number }>;
}

const SUSPECTED_SLOWER = 20; // sizes that are measured on suspicion alone hardly move in sound parts
const HARDLY_WEARS_HOURS = 100_000;

/** The truth of one shop, drawn from the priors that the application states. */
export function drawPopulation(sheet: ModelSheet, random: Random): Population {
	const kinds = new Map<string, TrueKind>();
	const ends = new Map<string, { scaleHours: number; shape: number }>();
	for (const station of sheet.stations) {
		for (const characteristic of station.characteristics) {
			const prior = wearPriorOf(station.type, characteristic);
			const slower = characteristic.when === 'onSuspicion' ? SUSPECTED_SLOWER : 1;
			const hoursToLimit = prior
				? prior.hoursToLimit * slower * Math.exp(random.normal(0, openRate(prior)))
				: HARDLY_WEARS_HOURS;
			const within = prior ? (prior.within1000h * Math.exp(random.normal(0, scatterSpread(prior)))) ** 2 : 0.5;
			const between = prior ? prior.between * Math.exp(random.normal(0, scatterSpread(prior))) : 0.3;
			kinds.set(`${station.key}/${characteristic.key}`, {
				hoursToLimit,
				between,
				shapePerLimit: hoursToLimit / 1000 / within
			});
		}
		const { scaleHours, shape, priorWeight } = lifePriorOf(station);
		const spread = random.normal(0, 1 / (shape * Math.sqrt(priorWeight)));
		ends.set(station.key, { scaleHours: scaleHours * Math.exp(spread), shape });
	}
	return { kinds, ends };
}

const kindOf = ({ kinds }: Population, station: Station, key: string): TrueKind => kinds.get(`${station.key}/${key}`)!;

/** A new part. Rates differ by a gamma distribution of mean 1. */
export function newPart(station: Station, population: Population, random: Random): TruePart {
	const { scaleHours, shape } = population.ends.get(station.key)!;
	return {
		wear: new Map(station.characteristics.map(({ key }) => [key, 0])),
		rate: new Map(
			station.characteristics.map(({ key }) => {
				const alike = 1 / kindOf(population, station, key).between ** 2;
				return [key, random.gamma(alike) / alike];
			})
		),
		damagedAt: scaleHours * (-Math.log(1 - random.uniform())) ** (1 / shape),
		hours: 0
	};
}

/** True once something other than wear has damaged it. */
export const isDamaged = ({ hours, damagedAt }: TruePart): boolean => hours >= damagedAt;

/** Lets a part run: each characteristic's wear grows by a gamma increment over the hours. */
export function run(
	part: TruePart,
	station: Station,
	population: Population,
	hours: number,
	harshness: number,
	random: Random
): void {
	part.hours += hours;
	for (const characteristic of station.characteristics) {
		const { hoursToLimit, shapePerLimit } = kindOf(population, station, characteristic.key);
		const shape = (shapePerLimit * hours * harshness) / hoursToLimit;
		const grown =
			(random.gamma(shape) / shapePerLimit) * allowanceOf(characteristic) * part.rate.get(characteristic.key)!;
		part.wear.set(characteristic.key, part.wear.get(characteristic.key)! + grown);
	}
}

// What a size without a limit has to lose: nothing. It tells a part from its like and stays as it is.
export const allowanceOf = (sheet: SheetCharacteristic): number => {
	const limit = discardLimit(sheet);
	return limit ? Math.abs(limit.value - sheet.nominal) : 0;
};

/** The largest share of its allowance that a part has used, by the sizes that are always measured where there are any; 0 where nothing is. */
export function shareUsed(part: TruePart, station: Station): number {
	const limited = station.characteristics.filter((characteristic) => allowanceOf(characteristic) > 0);
	const main = limited.filter(({ when }) => when === 'always');
	const shares = (main.length > 0 ? main : limited).map((size) => part.wear.get(size.key)! / allowanceOf(size));
	return Math.max(0, ...shares);
}

export const stationOf = (sheet: ModelSheet, key: string): Station =>
	sheet.stations.find((station) => station.key === key)!;
