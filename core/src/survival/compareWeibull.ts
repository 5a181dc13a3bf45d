import { chiSquareQuantile, chiSquareUpper, highestAt, requireThat } from '../number';
import { requireLives, type ObservedLife } from './observedLife';
import { fitWeibull, weibullLogLikelihood, type NoMaximum } from './weibull';
import type { Estimate } from './weibullLimits';

export type WeibullComparison =
	| {
			readonly kind: 'compared';
			/** Scale of the second group by that of the first, at a common shape. */
			readonly ratio: Estimate;
			/** P(scales as far apart or further, were both groups alike). */
			readonly pScale: number;
			/** P(shapes as far apart or further, had both one shape): small where a ratio alone does not tell the difference. */
			readonly pShape?: number;
	  }
	| { readonly kind: 'noMaximum'; readonly reason: NoMaximum };

const LEVEL = 0.95;
const FURTHEST = Math.log(1e4);

const scaled = (lives: readonly ObservedLife[], by: number): ObservedLife[] =>
	lives.map(({ after, by: to }) => ({ after: after * by, by: to * by }));
const exactEnds = (lives: readonly ObservedLife[]): number =>
	lives.filter(({ after, by }) => after === by && after > 0).length;

/**
 * Whether two groups of lives have the same scale, by the likelihood ratio at a common shape; any censoring.
 *
 * For each ratio the second group's hours are divided by it and both are fitted as one: the profile likelihood of the ratio.
 * Units: hours. Errors: PreconditionError as `fitWeibull`. Source: W. Meeker, L. Escobar (1998), 17.4; J. Lawless, Statistical
 * Models and Methods for Lifetime Data (2003), 5.2.
 */
export function compareWeibull(
	first: readonly ObservedLife[],
	second: readonly ObservedLife[],
	level = LEVEL
): WeibullComparison {
	requireLives('compareWeibull', first);
	requireLives('compareWeibull', second);
	requireThat(level > 0 && level < 1, 'compareWeibull', 'level', level, 'between 0 and 1');
	const pooled = fitWeibull([...first, ...second], level);
	if (pooled.kind === 'noMaximum') return pooled;
	const exact = exactEnds(second);
	const profile = (logRatio: number): number => {
		const fit = fitWeibull([...first, ...scaled(second, Math.exp(-logRatio))], level);
		// Dividing hours changes the unit in which a known moment's density is given.
		return fit.kind === 'fitted' ? fit.logLikelihood - exact * logRatio : -Infinity;
	};
	const best = highest(profile);
	if (Math.abs(best.at) > FURTHEST - 0.01) return { kind: 'noMaximum', reason: 'noEnds' };
	const drop = chiSquareQuantile(level, 1) / 2;
	const limit = (sign: 1 | -1): number | undefined => {
		const below = (at: number) => best.value - profile(at) >= drop;
		let step = 0.05;
		while (!below(best.at + sign * step)) if ((step *= 2) > 2 * FURTHEST) return undefined;
		let [near, far] = [step / 2, step];
		for (let i = 0; i < 24; i++) {
			const middle = (near + far) / 2;
			if (below(best.at + sign * middle)) far = middle;
			else near = middle;
		}
		return Math.exp(best.at + (sign * (near + far)) / 2);
	};
	const apart = [fitWeibull(first, level), fitWeibull(second, level)];
	const separate = apart.every((fit) => fit.kind === 'fitted')
		? apart.reduce((sum, fit) => sum + (fit.kind === 'fitted' ? fit.logLikelihood : 0), 0)
		: undefined;
	const p = (gain: number) => chiSquareUpper(Math.max(0, 2 * gain), 1);
	return {
		kind: 'compared',
		ratio: { value: Math.exp(best.at), low: limit(-1), high: limit(1) },
		pScale: p(best.value - weibullLogLikelihood([...first, ...second], pooled.scale.value, pooled.shape.value)),
		...(separate === undefined ? {} : { pShape: p(separate - best.value) })
	};
}

// The top of a curve with one top: a coarse walk, then the golden section.
function highest(of: (x: number) => number): { at: number; value: number } {
	const grid = Array.from({ length: 41 }, (_, i) => -FURTHEST + (i * FURTHEST) / 20);
	const values = grid.map(of);
	const top = values.indexOf(Math.max(...values));
	const at = highestAt(of, grid[Math.max(0, top - 1)], grid[Math.min(grid.length - 1, top + 1)], 1e-7);
	return { at, value: of(at) };
}
