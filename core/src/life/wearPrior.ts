import { requireThat } from '../number';
import { partType, type PartTypeKey } from '../part';
import { discardLimit, type SheetCharacteristic } from '../record';

/** What is believed of how one kind of part wears before the shop's own record speaks. */
export interface WearPrior {
	/** Hours in which a typical part (the median) wears from new to its discard limit. */
	readonly hoursToLimit: number;
	/** Scatter of the rate between parts (of its logarithm), and of one part's growth in 1000 h (standard deviation over mean). */
	readonly between: number;
	readonly within1000h: number;
	/** How firmly it is believed, in lives. */
	readonly priorWeight: number;
	readonly from: 'sheet' | 'partType';
}

// Prior weight of a sheet that does not state it, and of a part type's default. In lives.
const SHEET_WEIGHT = 4;
const DEFAULT_WEIGHT = 1;
const BETWEEN = 0.35;
const WITHIN_A_LIFE = 0.3; // scatter of the wear of one part by the time it is worn out

/**
 * The prior of one size of a station: the sheet's, else its part type's own default.
 * Undefined where the size has no discard limit or its type does not wear. Hours.
 */
export function wearPriorOf(type: PartTypeKey, sheet: SheetCharacteristic): WearPrior | undefined {
	const limit = discardLimit(sheet);
	if (!limit) return undefined;
	const { wearPrior } = sheet;
	if (wearPrior) {
		const { per1000h, betweenParts, within1000h, priorWeight = SHEET_WEIGHT } = wearPrior;
		const hoursToLimit = (1000 * Math.abs(limit.value - sheet.nominal)) / per1000h;
		return { hoursToLimit, between: betweenParts, within1000h, priorWeight, from: 'sheet' };
	}
	const { hoursToLimit } = partType(type).lasts;
	if (hoursToLimit === undefined) return undefined;
	const within1000h = WITHIN_A_LIFE * Math.sqrt(hoursToLimit / 1000);
	return { hoursToLimit, between: BETWEEN, within1000h, priorWeight: DEFAULT_WEIGHT, from: 'partType' };
}

/** One combination of what the data leave open about a kind: scatter between and within parts, and how wear bends. */
export interface WearShape {
	/** Standard deviation of the logarithm of the rate between parts. */
	readonly between: number;
	/** Gamma shape for each 1000 h: large means steady wear, small means wear by jumps. */
	readonly shapePer1000h: number;
	/** Wear is the steady process to this power: above 1 it speeds up towards the limit, below 1 it runs in. */
	readonly exponent: number;
	readonly weight: number;
}

/**
 * Spread of the logarithm of either scatter about what the prior says; what is firmly believed is firm in this too.
 * Errors: PreconditionError for a prior that cannot be. Source: our own convention, held to by `npm run calibrate`.
 */
export function scatterSpread(prior: WearPrior): number {
	requirePrior(prior);
	return Math.min(0.4, 0.8 / Math.sqrt(prior.priorWeight));
}

function requirePrior({ hoursToLimit, between, within1000h, priorWeight }: WearPrior): void {
	requireThat(hoursToLimit >= 1 && hoursToLimit <= 1e9, 'wear prior', 'hoursToLimit', hoursToLimit, '1 to 1e9');
	requireThat(between > 0 && between <= 10, 'wear prior', 'between', between, 'above 0, at most 10');
	requireThat(within1000h > 0 && within1000h <= 100, 'wear prior', 'within1000h', within1000h, 'above 0, at most 100');
	requireThat(
		priorWeight > 0 && priorWeight <= 1e6,
		'wear prior',
		'priorWeight',
		priorWeight,
		'above 0, at most 1e6 lives'
	);
}
const HERMITE = [
	{ z: -Math.sqrt(3), weight: 1 / 6 },
	{ z: 0, weight: 2 / 3 },
	{ z: Math.sqrt(3), weight: 1 / 6 }
] as const;
// How wear may bend, with prior probabilities: it is straight, runs in, or speeds up.
const STRAIGHT = 0.65;
const BENT = [
	{ exponent: 0.75, weight: 0.15 },
	{ exponent: 1.5, weight: 0.2 }
] as const;

const LEAST_WITHIN = 0.01; // in 1000 h: no part wears more evenly

/**
 * The scatter within parts and the bending that are considered, for a prior. Bent wear is followed with the middle scatter only: what
 * bends and jumps as well cannot be told from straight wear that jumps.
 */
export function paths(prior: WearPrior): readonly Omit<WearShape, 'between'>[] {
	const shapeAt = (z: number) =>
		1 / (Math.max(LEAST_WITHIN, prior.within1000h) * Math.exp(z * scatterSpread(prior))) ** 2;
	return [
		...HERMITE.map(({ z, weight }) => ({ shapePer1000h: shapeAt(z), exponent: 1, weight: weight * STRAIGHT })),
		...BENT.map((bent) => ({ shapePer1000h: shapeAt(0), ...bent }))
	];
}

/** All combinations, path by path and within each by scatter between parts. Weights together 1. */
export const wearShapes = (prior: WearPrior): readonly WearShape[] =>
	paths(prior).flatMap((path) =>
		HERMITE.map(({ z, weight }) => ({
			...path,
			between: prior.between * Math.exp(z * scatterSpread(prior)),
			weight: path.weight * weight
		}))
	);
/** How many scatters between parts belong to each path. */
export const BETWEENS = HERMITE.length;

/**
 * Standard deviation of the logarithm of a kind's typical rate, as its prior leaves it open: the scatter of one whole life
 * over √priorWeight. Errors: PreconditionError for a prior that cannot be. Source: variance of a mean of so many lives.
 */
export function openRate(prior: WearPrior): number {
	requirePrior(prior);
	const { between, within1000h, hoursToLimit, priorWeight } = prior;
	return Math.sqrt((between ** 2 + (within1000h ** 2 * 1000) / hoursToLimit) / priorWeight);
}
