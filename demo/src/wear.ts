import type { PartTypeKey } from '@exetasis/core/part';
import { discardLimit, type ModelSheet, type SheetCharacteristic, type Station } from '@exetasis/core/record';
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
const HOURS_TO_LIMIT: Readonly<Partial<Record<PartTypeKey, number>>> = {
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
	valveSeat: 8000,
	cup: 4200,
	cylinder: 12_000,
	sleeve: 9000,
	ropePacking: 3000,
	diaphragm: 6000,
	flatSeal: 6000,
	backupRing: 6000,
	regulatorPacking: 6000,
	regulatorSeat: 6000,
	regulatorStem: 6000,
	guide: 12_000,
	cage: 12_000
};
const ORDINARY_HOURS = 25_000; // parts that hardly wear
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
		const allowance = allowanceOf(characteristic);
		const shape = (SHAPE_PER_LIMIT * hours * harshness) / (HOURS_TO_LIMIT[station.type] ?? ORDINARY_HOURS);
		const grown = (random.gamma(shape) / SHAPE_PER_LIMIT) * allowance * part.rate.get(characteristic.key)!;
		part.wear.set(characteristic.key, part.wear.get(characteristic.key)! + grown);
	}
}

// What a size without a limit has to lose: nothing. It tells a part from its like and stays as it is.
const allowanceOf = (sheet: SheetCharacteristic): number => {
	const limit = discardLimit(sheet);
	return limit ? Math.abs(limit.value - sheet.nominal) : 0;
};

/** The largest share of its allowance that a part has used, by the sizes that are always measured where there are any; 0 where nothing is. */
export function shareUsed(part: TruePart, station: Station): number {
	const limited = station.characteristics.filter((one) => allowanceOf(one) > 0);
	const main = limited.filter(({ when }) => when === 'always');
	const shares = (main.length > 0 ? main : limited).map((one) => part.wear.get(one.key)! / allowanceOf(one));
	return Math.max(0, ...shares);
}

export const stationOf = (sheet: ModelSheet, key: string): Station =>
	sheet.stations.find((station) => station.key === key)!;
