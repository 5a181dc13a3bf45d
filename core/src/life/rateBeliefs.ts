import { normalQuantile } from '../number';
import type { LifeContext } from './context';
import type { LogRate, WearKnowledge } from './partWear';
import { rateDensity, type RateGrid } from './rateGrid';
import { BETWEENS, wearShapes } from './wearPrior';

/** What is believed of the rate of one part under one shape of its kind's wear, over the grid, before the part is inspected. */
export interface RateBelief {
	readonly path: number;
	readonly weight: number;
	readonly density: Float64Array;
	/** The same at points of what is open about kind and pump. */
	readonly points: () => readonly Float64Array[];
	/** The same at the points of the pump's factor, what is open about the kind integrated over. */
	readonly ofPump: () => readonly Float64Array[];
}

const IGNORED = 1e-9; // of all: such a shape moves no chance by more
const QUANTILES = [0.05, 0.25, 0.5, 0.75, 0.95] as const;
/** Weights of the points at which what is open about a pump is taken: the 5, 25, 50, 75 and 95 % points of a normal distribution, whose variance they have to 1 %. */
export const QUANTILE_WEIGHTS = [0.15, 0.22, 0.26, 0.22, 0.15] as const;

/** Beliefs for every shape of a kind's wear that counts, in a pump of this factor: all its parts of the kind share them. */
export const rateBeliefs = (
	knowledge: WearKnowledge,
	factor: LogRate,
	grid: RateGrid,
	context: LifeContext
): readonly RateBelief[] =>
	context.kept(knowledge, `beliefs ${factor.mean}/${factor.sd}`, [], () => believed(knowledge, factor, grid));

function believed({ prior, shapes }: WearKnowledge, factor: LogRate, grid: RateGrid): RateBelief[] {
	return wearShapes(prior).flatMap(({ between }, i): RateBelief[] => {
		const { weight, mean, sd } = shapes[i];
		if (weight < IGNORED) return [];
		const at = mean + factor.mean;
		const open = Math.hypot(sd, factor.sd);
		let points: readonly Float64Array[] | undefined;
		let ofPump: readonly Float64Array[] | undefined;
		return [
			{
				path: Math.floor(i / BETWEENS),
				weight,
				density: rateDensity(grid, at, open, between),
				points: () => (points ??= QUANTILES.map((q) => rateDensity(grid, at + open * normalQuantile(q), 0, between))),
				ofPump: () =>
					(ofPump ??= QUANTILES.map((q) => rateDensity(grid, at + factor.sd * normalQuantile(q), sd, between)))
			}
		];
	});
}
