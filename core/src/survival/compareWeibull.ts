import { chiSquareQuantile, chiSquareUpper, highestAt, requireThat } from '../number';
import { requireLives, withAge, type ObservedLife } from './observedLife';
import { fitWeibull, weibullLogLikelihood, type NoMaximum } from './weibull';
import { logLives, type Counted, type LogLives } from './weibullLikelihood';
import type { Estimate, Maximum } from './weibullLimits';
import { likeliest } from './weibullMaximum';

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

const together = (first: Counted, second: Counted, by: number): Counted => ({
	count: first.count + second.count,
	sum: first.sum + second.sum + by * second.count
});

// Both groups as one, the logarithms of the second's hours moved by so much.
function joined(first: LogLives, second: LogLives, by: number): LogLives {
	const both = (key: 'from' | 'to') => {
		const all = new Float64Array(first[key].length + second[key].length);
		all.set(first[key]);
		for (let i = 0; i < second[key].length; i++) all[first[key].length + i] = second[key][i] + by;
		return all;
	};
	return {
		exact: together(first.exact, second.exact, by),
		held: together(first.held, second.held, by),
		from: both('from'),
		to: both('to'),
		hazards: (shape, mu) => {
			const [one, other] = [first.hazards(shape, mu), second.hazards(shape, mu - by)];
			return { h: one.h + other.h, zh: one.zh + other.zh, zzh: one.zzh + other.zzh };
		},
		ended: first.ended + second.ended
	};
}

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
	const [logsOfFirst, logsOfSecond] = [first, second].map((lives) => logLives(withAge(lives).lives));
	const topAt = (logRatio: number, near?: Maximum) => likeliest(joined(logsOfFirst, logsOfSecond, -logRatio), near);
	// Dividing hours changes the unit in which a known moment's density is given.
	const valueOf = (top: Maximum | undefined, logRatio: number): number =>
		top ? top.at.value - logsOfSecond.exact.count * logRatio : -Infinity;
	const [coarse, top] = highestOnGrid(topAt, valueOf);
	let near = top;
	const profile = (logRatio: number): number => {
		const found = topAt(logRatio, near) ?? topAt(logRatio);
		near = found ?? near;
		return valueOf(found, logRatio);
	};
	const at = highestAt(profile, coarse - STEP, coarse + STEP, 1e-7);
	const best = { at, value: profile(at) };
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

const STEP = FURTHEST / 20;

// The highest of a coarse walk over all ratios, each sought by itself.
function highestOnGrid(
	topAt: (logRatio: number) => Maximum | undefined,
	valueOf: (top: Maximum | undefined, logRatio: number) => number
): [number, Maximum | undefined] {
	let best: [number, Maximum | undefined] = [0, undefined];
	let highest = -Infinity;
	for (let at = -FURTHEST; at < FURTHEST + STEP / 2; at += STEP) {
		const top = topAt(at);
		const value = valueOf(top, at);
		if (value > highest) [best, highest] = [[at, top], value];
	}
	return best;
}
