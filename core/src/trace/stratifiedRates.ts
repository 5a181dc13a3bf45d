import { gammaLn, normalQuantile, requireThat } from '../number';
import { LEVEL, requireCount, type Counted, type RateComparison } from './exactTests';

/** Two groups where they are alike but for what is compared: parts that had been in equally long, for instance. */
export interface Stratum {
	readonly first: Counted;
	readonly second: Counted;
}

/** A stratum that tells the groups apart: so many events, which fall to the first in the ratio of exposures times that of rates. */
interface Shared {
	readonly events: number;
	readonly odds: number;
}

const NEGLIGIBLE = 1e-24; // of a distribution's highest step: it reaches ten standard deviations to either side
/** Standard errors over which one convolution serves: what was left out stays below 1e-13. */
const NEAR = 2.5;
/** Few events are no normal distribution: then it serves less far than their standard error reaches. */
const LEAST_SPREAD = 5;
const CLOSE = 1e-10; // of a logarithm
const FURTHEST = 256; // a logarithm beyond it is no number any more
const MOST_TURNS = 60;

/**
 * Two rates compared stratum by stratum, exactly: given the total of each, the first group's count is binomial in it, and all of
 * them are added up. One ratio of rates for all strata: the one that makes the count as it is, with exact limits.
 *
 * Strata in which one group has no exposure say nothing and are left out. Undefined where none is left.
 * Errors: PreconditionError for counts or exposures that cannot be, or a level outside (0, 1). Accuracy: 1e-12 absolute in p.
 * Source: D. Martin, H. Austin, Epidemiology 7 (1996) 29–33 (exact estimates of a rate ratio over strata).
 */
export function compareRatesWithin(strata: readonly Stratum[], level = LEVEL): RateComparison | undefined {
	requireThat(level > 0 && level < 1, 'compareRatesWithin', 'level', level, 'between 0 and 1');
	const told = toldBy(strata);
	if (!told) return undefined;
	const { shared, count, total } = told;
	const tail = (1 - level) / 2;
	const start = Math.log((count + 0.5) / (total - count + 0.5)) - Math.log(meanOdds(shared, total));
	const expected = (log: number) => shared.reduce((sum, stratum) => sum + stratum.events * shareOf(stratum, log), 0);
	const known = count > 0 && count < total;
	const likeliest = known ? crossing((log) => expected(log) - count, start, 'atLeast') : start;
	// Of the logarithm: limits are sought where they would be, were it normal.
	const error = Math.min(1, 1 / spreadOf(shared, likeliest));
	const reach = normalQuantile(1 - tail) * error;
	const tails = tailsNear(shared, count);
	tails(likeliest);
	const limit = (side: keyof Tails) =>
		Math.exp(
			crossing(
				(log) => logit(tails(log)[side]) - logit(tail),
				likeliest + (side === 'atLeast' ? -reach : reach),
				side,
				error / 4
			)
		);
	return {
		...(count < total ? { ratio: count === 0 ? 0 : Math.exp(likeliest) } : {}),
		low: count === 0 ? 0 : limit('atLeast'),
		...(count < total ? { high: limit('atMost') } : {}),
		p: twoSided(tails(0))
	};
}

/** P(as far apart or further, were both rates the same) alone, of `compareRatesWithin`. Errors: as there. */
export function chanceWithin(strata: readonly Stratum[]): number | undefined {
	const told = toldBy(strata);
	return told && twoSided(tailsNear(told.shared, told.count)(0));
}

function toldBy(strata: readonly Stratum[]) {
	for (const { first, second } of strata)
		for (const [name, { events, exposure }] of Object.entries({ first, second })) {
			requireCount('compareRatesWithin', `${name} events`, events);
			const needs = events > 0 ? 'above 0 where there are events' : 'at least 0';
			const fits = Number.isFinite(exposure) && exposure >= 0 && (events === 0 || exposure > 0);
			requireThat(fits, 'compareRatesWithin', `${name} exposure`, exposure, needs);
		}
	const both = strata.filter(({ first, second }) => first.exposure > 0 && second.exposure > 0);
	if (both.length === 0) return undefined;
	// Binomial counts of one share add up to one: strata of equal odds are taken together.
	const byOdds = new Map<number, number>();
	for (const { first, second } of both) {
		const odds = first.exposure / second.exposure;
		byOdds.set(odds, (byOdds.get(odds) ?? 0) + first.events + second.events);
	}
	return {
		shared: [...byOdds].map(([odds, events]) => ({ events, odds })).filter(({ events }) => events > 0),
		count: both.reduce((sum, { first }) => sum + first.events, 0),
		total: both.reduce((sum, { first, second }) => sum + first.events + second.events, 0)
	};
}

const meanOdds = (shared: readonly Shared[], total: number): number =>
	Math.exp(shared.reduce((sum, { events, odds }) => sum + events * Math.log(odds), 0) / Math.max(1, total));

const shareOf = ({ odds }: Shared, logRatio: number): number => 1 / (1 + Math.exp(-logRatio) / odds);

const logit = (p: number): number => Math.log(p) - Math.log1p(-p);

interface Tails {
	/** P(the first group's count is at most, at least, what it is). */
	readonly atMost: number;
	readonly atLeast: number;
}

const twoSided = ({ atMost, atLeast }: Tails): number => Math.min(1, 2 * Math.min(atMost, atLeast));

/** The first group's count over all strata at one ratio of rates, as far as its steps are not negligible. */
interface Sum {
	readonly logRatio: number;
	readonly from: number;
	readonly steps: Float64Array;
}

const spreadOf = (shared: readonly Shared[], logRatio: number): number =>
	Math.sqrt(
		shared.reduce((sum, other) => {
			const share = shareOf(other, logRatio);
			return sum + other.events * share * (1 - share);
		}, 0)
	);

function sumAt(shared: readonly Shared[], logRatio: number): Sum {
	let from = 0;
	let steps: Float64Array = Float64Array.of(1);
	for (const other of shared) {
		const binomial = binomialSteps(other.events, shareOf(other, logRatio));
		const all = convolved(steps, binomial.steps);
		const [first, last] = notNegligible(all);
		steps = all.subarray(first, last + 1);
		from += binomial.from + first;
	}
	return { logRatio, from, steps };
}

function notNegligible(steps: Float64Array): [number, number] {
	const least = NEGLIGIBLE * steps.reduce((most, step) => Math.max(most, step), 0);
	let [first, last] = [0, steps.length - 1];
	while (steps[first] < least) first++;
	while (steps[last] < least) last--;
	return [first, last];
}

/**
 * Tails at any ratio. With the totals given, a ratio turns every step k by ratioᵏ alone, so that one convolution serves all
 * ratios near it.
 */
function tailsNear(shared: readonly Shared[], count: number): (logRatio: number) => Tails {
	let last: Sum | undefined;
	return (logRatio) => {
		if (!last || Math.abs(logRatio - last.logRatio) > NEAR / Math.max(LEAST_SPREAD, spreadOf(shared, last.logRatio)))
			last = sumAt(shared, logRatio);
		const { from, steps } = last;
		const turn = logRatio - last.logRatio;
		const at = Math.min(steps.length, Math.max(0, count - from));
		let [below, own, above] = [0, 0, 0];
		for (let k = 0; k < steps.length; k++) {
			const step = steps[k] * Math.exp(turn * (k - at));
			if (k < at || count < from) below += step;
			else if (k === at) own = step;
			else above += step;
		}
		if (count < from) [below, above] = [0, below]; // all of it lies above the count
		const all = below + own + above;
		const inside = (p: number) => Math.min(1 - Number.EPSILON, Math.max(Number.MIN_VALUE, p)); // so that it has a logit
		return { atMost: inside((below + own) / all), atLeast: inside((own + above) / all) };
	};
}

// The steps of a binomial distribution that are not negligible, from its highest outwards.
function binomialSteps(n: number, share: number): { readonly from: number; readonly steps: Float64Array } {
	if (!(share > 0)) return { from: 0, steps: Float64Array.of(1) };
	if (!(share < 1)) return { from: n, steps: Float64Array.of(1) };
	const mode = Math.min(n, Math.floor((n + 1) * share));
	const odds = share / (1 - share);
	const log =
		gammaLn(n + 1) -
		gammaLn(mode + 1) -
		gammaLn(n - mode + 1) +
		mode * Math.log(share) +
		(n - mode) * Math.log1p(-share);
	const highest = Math.exp(log);
	const below: number[] = [];
	for (let k = mode, step = highest; k > 0 && step > NEGLIGIBLE * highest; k--)
		below.push((step *= k / ((n - k + 1) * odds)));
	const above: number[] = [];
	for (let k = mode, step = highest; k < n && step > NEGLIGIBLE * highest; k++)
		above.push((step *= ((n - k) * odds) / (k + 1)));
	return { from: mode - below.length, steps: Float64Array.from([...below.reverse(), highest, ...above]) };
}

// Four sums at a time, so that each value that is read serves four of them: three times as fast as one by one.
function convolved(row: Float64Array, other: Float64Array): Float64Array {
	const [many, few] = row.length > other.length ? [row, other] : [other, row];
	const size = many.length + few.length - 1;
	const padded = new Float64Array(size + few.length + 3);
	padded.set(many, few.length - 1);
	const turned = few.toReversed();
	const sums = new Float64Array(size + 3);
	for (let at = 0; at < size; at += 4) {
		let [a, b, c, d] = [0, 0, 0, 0];
		let [first, second, third] = [padded[at], padded[at + 1], padded[at + 2]];
		for (let i = 0; i < turned.length; i++) {
			const fourth = padded[at + i + 3];
			const times = turned[i];
			a += times * first;
			b += times * second;
			c += times * third;
			d += times * fourth;
			[first, second, third] = [second, third, fourth];
		}
		sums[at] = a;
		sums[at + 1] = b;
		sums[at + 2] = c;
		sums[at + 3] = d;
	}
	return sums.subarray(0, size);
}

// Where a monotone function of a logarithm crosses nought: false position, the value at an end that stays twice being halved.
// Source: M. Dowell, P. Jarratt, BIT 11 (1971) 168–174. Rising where it is the tail from the count upwards, falling for the other.
function crossing(f: (log: number) => number, start: number, side: keyof Tails, reach = 1): number {
	const g = side === 'atLeast' ? f : (log: number) => -f(log);
	let low = start - reach;
	let atLow = g(low);
	for (let step = 2 * reach; atLow > 0 && step < FURTHEST; step *= 2) atLow = g((low -= step));
	let high = start + reach;
	let atHigh = g(high);
	for (let step = 2 * reach; atHigh < 0 && step < FURTHEST; step *= 2) atHigh = g((high += step));
	let stayed: 'low' | 'high' | undefined;
	for (let turn = 0; turn < MOST_TURNS && high - low > CLOSE; turn++) {
		const middle = (low * atHigh - high * atLow) / (atHigh - atLow);
		const at = g(middle);
		if (at === 0) return middle;
		if (at < 0) {
			[low, atLow] = [middle, at];
			if (stayed === 'high') atHigh /= 2;
			stayed = 'high';
		} else {
			[high, atHigh] = [middle, at];
			if (stayed === 'low') atLow /= 2;
			stayed = 'low';
		}
	}
	return Math.abs(atLow) < Math.abs(atHigh) ? low : high;
}
