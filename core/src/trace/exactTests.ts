import { betaCdf, betaQuantile, finiteAnswer, requireThat } from '../number';

/** Confidence of all limits here, unless another is asked for. */
export const LEVEL = 0.95;

/** Errors: PreconditionError unless it is a count. */
export function requireCount(fn: string, argument: string, value: number, most = 99_999): void {
	requireThat(Number.isInteger(value) && value >= 0 && value <= most, fn, argument, value, `a count up to ${most}`);
}

/** Events of one group over its exposure. */
export interface Counted {
	readonly events: number;
	/** Hours, or any unit that both groups share. */
	readonly exposure: number;
}

export interface RateComparison {
	/** Rate of the first by that of the second; left out where the second had no event. */
	readonly ratio?: number;
	readonly low: number;
	/** Left out where the record sets no upper limit. */
	readonly high?: number;
	/** P(as far apart or further, were both rates the same): twice the smaller tail. */
	readonly p: number;
}

/**
 * Two rates compared exactly: given the total, the first group's count is binomial. Limits of the ratio by Clopper and Pearson.
 * Errors: PreconditionError for counts or exposures that cannot be, or a level outside (0, 1).
 * Source: J. Przyborowski, H. Wilenski, Biometrika 31 (1940) 313–323; C. Clopper, E. Pearson, Biometrika 26 (1934) 404–413.
 *
 * @example compareRates({ events: 9, exposure: 2 }, { events: 3, exposure: 3 }).p // 0.0305
 */
export function compareRates(first: Counted, second: Counted, level = LEVEL): RateComparison {
	for (const [name, { events, exposure }] of Object.entries({ first, second })) {
		requireCount('compareRates', `${name} events`, events);
		requireThat(exposure > 0 && Number.isFinite(exposure), 'compareRates', `${name} exposure`, exposure, 'above 0');
	}
	requireThat(level > 0 && level < 1, 'compareRates', 'level', level, 'between 0 and 1');
	const [k, n] = [first.events, first.events + second.events];
	const share = first.exposure / (first.exposure + second.exposure);
	const tail = (1 - level) / 2;
	const odds = (p: number) => (p / (1 - p)) * (second.exposure / first.exposure);
	const low = k === 0 ? 0 : odds(betaQuantile(tail, k, n - k + 1));
	const high = k === n ? Infinity : odds(betaQuantile(1 - tail, k + 1, n - k));
	const ratio = (k / (n - k)) * (second.exposure / first.exposure);
	return {
		...(k < n && Number.isFinite(ratio) ? { ratio } : {}),
		low: finiteAnswer('compareRates', low),
		...(Number.isFinite(high) ? { high } : {}),
		p: n === 0 ? 1 : Math.min(1, 2 * Math.min(atLeast(k, n, share), 1 - atLeast(k + 1, n, share)))
	};
}

// P(X ≥ k), X binomial(n, p), by the incomplete beta function.
const atLeast = (k: number, n: number, p: number): number => (k <= 0 ? 1 : k > n ? 0 : betaCdf(p, k, n - k + 1));

/**
 * Each probability with all the comparisons made allowed for: at most a share `q` of those with an adjusted value up to `q` are
 * false alarms in the long run; where no cause is at work any at all, in a share `q` of cases.
 * Shape: adjusted values in the order given. Errors: PreconditionError for probabilities outside [0, 1].
 * Source: Y. Benjamini, Y. Hochberg, J. Royal Stat. Soc. B 57 (1995) 289–300.
 *
 * @example falseDiscovery([0.01, 0.04, 0.03, 0.005, 0.9]) // [0.025, 0.05, 0.05, 0.025, 0.9]
 */
export function falseDiscovery(ps: readonly number[]): number[] {
	for (const p of ps) requireThat(p >= 0 && p <= 1, 'falseDiscovery', 'p', p, 'from 0 to 1');
	const order = ps.map((_, i) => i).sort((a, b) => ps[b] - ps[a]);
	const adjusted = new Array<number>(ps.length);
	let least = 1;
	for (const [fromTop, i] of order.entries()) {
		least = Math.min(least, (ps[i] * ps.length) / (ps.length - fromTop));
		adjusted[i] = least;
	}
	return adjusted;
}
