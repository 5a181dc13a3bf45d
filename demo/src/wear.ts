import type { ModelSheet, Station } from '@exetasis/core/record';
import { discardLimit } from '@exetasis/core/record';
import type { Random } from './random';
import type { DemoPump } from './shop';

/** The true condition of one part, which only the demo knows. */
export interface TruePart {
	/** Wear of each characteristic, in its unit, towards the limit. */
	readonly wear: Map<string, number>;
	/** This part's own rate against its kind's mean (drawn once: some parts wear faster all their lives). */
	readonly rate: Map<string, number>;
	hours: number;
}

// Hours in which an ordinary part of this type wears to its limit; drawn from no source but the demo's own story.
const HOURS_TO_LIMIT: Readonly<Record<string, number>> = {
	plunger: 7500,
	vRing: 3600,
	lipSeal: 4200,
	oRing: 5000,
	adapter: 16_000,
	sealCase: 20_000,
	bore: 22_000,
	manifold: 30_000,
	washer: 18_000,
	spring: 11_000,
	valve: 9000,
	valveSeat: 8000
};
const SHAPE_PER_LIMIT = 14; // gamma shape by the time the mean reaches the limit: how jumpy wear is
const RATE_SHAPE = 9; // spread of rates between parts: coefficient of variation 1/3

export const newPart = (station: Station, random: Random): TruePart => ({
	wear: new Map(station.characteristics.map(({ key }) => [key, 0])),
	rate: new Map(station.characteristics.map(({ key }) => [key, random.gamma(RATE_SHAPE) / RATE_SHAPE])),
	hours: 0
});

/** How hard one place of a pump wears: its duty's harshness; the plunger that is kept in spite of its scratches hardly shrinks. */
export const harshnessAt = ({ harshness, story }: DemoPump, station: string, cylinder: number): number =>
	story === 'scoredPlungerKept' && station === 'plunger' && cylinder === 1 ? harshness / 5 : harshness;

/** Lets a part run: each characteristic's wear grows by a gamma increment over the hours. */
export function run(part: TruePart, station: Station, hours: number, harshness: number, random: Random): void {
	part.hours += hours;
	for (const characteristic of station.characteristics) {
		const allowance = Math.abs(discardLimit(characteristic).value - characteristic.nominal);
		const shape = (SHAPE_PER_LIMIT * hours * harshness) / HOURS_TO_LIMIT[station.type];
		const grown = (random.gamma(shape) / SHAPE_PER_LIMIT) * allowance * part.rate.get(characteristic.key)!;
		part.wear.set(characteristic.key, part.wear.get(characteristic.key)! + grown);
	}
}

/** The largest share of its allowance that a part has used, 0 where nothing of it is measured. */
export function shareUsed(part: TruePart, station: Station): number {
	const shares = station.characteristics.map(
		(one) => part.wear.get(one.key)! / Math.abs(discardLimit(one).value - one.nominal)
	);
	return Math.max(0, ...shares);
}

export const stationOf = (sheet: ModelSheet, key: string): Station =>
	sheet.stations.find((station) => station.key === key)!;
