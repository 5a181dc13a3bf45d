import type { WearPrior } from './wearPrior';

/** Steps of the logarithm of a rate, about that of the prior: index `middle` is the prior's own. */
export interface RateGrid {
	readonly step: number;
	readonly middle: number;
	readonly size: number;
	/** Rate at each index, allowance shares in 1000 h. */
	readonly rates: Float64Array;
}

/** The step at which messages between pumps and kinds are kept; a kind's own grid may be a whole number of times finer. */
export const COARSE_STEP = 0.15;
const REACH = 3; // a rate twenty times the prior's, either way
const FINEST = 5;
const LONG_RUN = 3; // thousand hours over which a steady part's rate comes out sharpest

/**
 * The grid on which one kind's rates are integrated. The trapezium rule on it is good to 1e-8 where the narrowest feature is
 * as wide as a step, so steady kinds of much alike parts get a finer one.
 */
export function rateGrid(prior: WearPrior): RateGrid {
	const narrowest = Math.min(prior.between / 1.5, prior.within1000h / Math.sqrt(LONG_RUN) / 1.5);
	const finer = Math.min(FINEST, Math.max(1, Math.ceil(COARSE_STEP / Math.max(narrowest, 1e-3))));
	const step = COARSE_STEP / finer;
	const middle = Math.round(REACH / step);
	const size = 2 * middle + 1;
	const typical = 1000 / prior.hoursToLimit;
	const rates = Float64Array.from({ length: size }, (_, i) => typical * Math.exp((i - middle) * step));
	return { step, middle, size, rates };
}

// A bell with heavier tails than a normal one, so that a part at three times its kind's rate is believed: three normals.
const BELLS = [
	{ weight: 0.55, width: 0.68 },
	{ weight: 0.38, width: 1.045 },
	{ weight: 0.07, width: 2.18 }
] as const;

const NARROWEST = 0.7; // of a step: a bell that the grid still carries, to 1e-4

/**
 * Density over the grid of a part's log rate about a kind's, whose own place is open by `sd`. Sums to 1.
 * Shape: one number for each index of the grid.
 */
export function rateDensity({ step, middle, size }: RateGrid, mean: number, sd: number, between: number): Float64Array {
	const density = new Float64Array(size);
	let total = 0;
	for (const bell of BELLS) {
		const width = Math.max(NARROWEST * step, Math.hypot(sd, between * bell.width));
		for (let i = 0; i < size; i++) {
			const z = ((i - middle) * step - mean) / width;
			const value = z * z > 70 ? 0 : (bell.weight / width) * Math.exp((-z * z) / 2);
			density[i] += value;
			total += value;
		}
	}
	if (total > 0) for (let i = 0; i < size; i++) density[i] /= total;
	else density[mean < 0 ? 0 : size - 1] = 1;
	return density;
}
