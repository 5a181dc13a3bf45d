import { betaQuantile, requireThat } from '../number';
import { type ObservedLife } from './observedLife';
import { turnbull, type Mass } from './turnbull';

/** Survival at one hour where ends are known between inspections only: the range that the record leaves open, and limits about it. */
interface SurvivalRange {
	readonly hours: number;
	/** Least and most that is likeliest: they differ where an end may lie on either side of the hour. */
	readonly least: number;
	readonly most: number;
	readonly low: number;
	readonly high: number;
}

const LEVEL = 0.95;
const REPLICATES = 200;
const FEWEST_REPLICATES = 40;
const WORK = 120_000; // lives times replicates that are worked through
const SEED = 20_077;
/** Power of the number of lives that is drawn: as many as there are would draw the band too narrow where lives are many. */
const DRAWN = 0.95;
/** With fewer lives found ended, or found running, than this the estimate tells nothing of its own error. */
const FEWEST_TELLING = 3;

/**
 * Survival by Turnbull's estimate with point by point limits, at the hours asked for.
 *
 * The limits are the wider of two: how far the estimate of a part of the lives, drawn again and again, lies from that of all, brought
 * to their number; and the binomial ones of the lives whose state at that hour is known. Where fewer than three lives were found
 * ended by that hour, or fewer than three were found running at it or later, they are those of survival at the inspections on either
 * side, exact: before the first inspection nothing tells when an end came. Limits never rise with the hours asked for.
 * Hundreds of lives are drawn less often. The same lives give the same limits.
 * Shape: one range an hour, in the order asked. Units: hours. Errors: as `turnbull`; hours below 0.
 * Accuracy: simulated lives of shapes 1 and 2.2, inspected every 700 to 2,300 h, 60 and 200 of them, at six hours from 700 to
 * 4000 h: 93 to 98.5 % covered where three lives and more tell, more elsewhere (300 to 400 records of each kind, so ± 1 %).
 * Source: B. Turnbull, J. Royal Stat. Soc. B 38 (1976) 290–295; D. Politis, J. Romano, M. Wolf, Subsampling (1999), ch. 2;
 * C. Clopper, E. Pearson, Biometrika 26 (1934) 404–413; L. Brown, T. Cai, A. DasGupta, Statist. Sci. 16 (2001) 101–133, 3.1
 * (Jeffreys).
 */
export function turnbullBand(lives: readonly ObservedLife[], hours: readonly number[], level = LEVEL): SurvivalRange[] {
	requireThat(level > 0 && level < 1, 'turnbullBand', 'level', level, 'between 0 and 1');
	for (const hour of hours)
		requireThat(hour >= 0 && Number.isFinite(hour), 'turnbullBand', 'hours', hour, 'at least 0');
	const { masses } = turnbull(lives);
	const replicates = Math.max(FEWEST_REPLICATES, Math.min(REPLICATES, Math.floor(WORK / lives.length)));
	const next = dice(SEED);
	const size = Math.ceil(lives.length ** DRAWN);
	const narrower = Math.sqrt(size / lives.length);
	const drawn = Array.from({ length: replicates }, () => {
		const again = Array.from({ length: size }, () => lives[Math.floor(next() * lives.length)]);
		return turnbull(again).masses;
	});
	const tail = (1 - level) / 2;
	const ranges = hours.map((at): SurvivalRange => {
		const { least, most } = rangeAt(masses, at);
		const again = drawn.map((estimate) => rangeAt(estimate, at));
		const about = (estimate: number, values: readonly number[], p: number) =>
			estimate + narrower * (quantile(values, p) - estimate);
		const lowest = again.map((range) => range.least);
		const highest = again.map((range) => range.most);
		const seen = seenAbout(lives, at);
		const telling = Math.min(seen.endedBy, seen.runningAfter) >= FEWEST_TELLING;
		const lows = [
			least,
			about(least, lowest, tail),
			shareQuantile(seen.known, seen.known * least, tail),
			...(telling ? [] : [binomialLow(seen.knownAfter, seen.runningAfter, tail)])
		];
		const highs = [
			most,
			about(most, highest, 1 - tail),
			shareQuantile(seen.known, seen.known * most, 1 - tail),
			...(telling ? [] : [binomialHigh(seen.knownBefore, seen.knownBefore - seen.endedBy, tail)])
		];
		return { hours: at, least, most, low: Math.max(0, Math.min(...lows)), high: Math.min(1, Math.max(...highs)) };
	});
	return ranges.map((range) => falling(range, ranges));
}

/** Survival never rises: what bounds it from above earlier does so later, and what bounds it from below later does so earlier. */
const falling = (survivalRange: SurvivalRange, all: readonly SurvivalRange[]): SurvivalRange => ({
	...survivalRange,
	low: Math.max(...all.filter(({ hours }) => hours >= survivalRange.hours).map(({ low }) => low)),
	high: Math.min(...all.filter(({ hours }) => hours <= survivalRange.hours).map(({ high }) => high))
});

/** How many lives were found ended by an hour, how many running at it or later, and of how many lives either is known. */
function seenAbout(lives: readonly ObservedLife[], at: number) {
	const count = (which: (life: ObservedLife) => boolean) => lives.filter(which).length;
	return {
		endedBy: count(({ by }) => by <= at),
		runningAfter: count(({ after }) => after >= at),
		known: count(({ after, by }) => after >= at || by <= at),
		/** Inspected at that hour or earlier, or known to have run past it. */
		knownBefore: count(({ after, by }) => after > 0 || by <= at),
		/** Inspected at that hour or later. */
		knownAfter: count(({ after, by }) => after >= at || by < Infinity)
	};
}

function rangeAt(masses: readonly Mass[], hours: number): { readonly least: number; readonly most: number } {
	let [least, most] = [1, 1];
	for (const { after, by, share } of masses) {
		if (by <= hours) most -= share;
		if (after < hours || by <= hours) least -= share;
	}
	return { least: Math.max(0, least), most: Math.max(0, most) };
}

const quantile = (values: readonly number[], p: number): number => {
	const sorted = values.toSorted((a, b) => a - b);
	return sorted[
		Math.min(sorted.length - 1, Math.max(0, p < 0.5 ? Math.floor(p * sorted.length) : Math.ceil(p * sorted.length) - 1))
	];
};

// What so many lives say of the share that holds, from Jeffreys' prior.
const shareQuantile = (lives: number, hold: number, p: number): number =>
	betaQuantile(p, hold + 0.5, lives - hold + 0.5);

// Exact limits of that share; without one life nothing is known.
const binomialLow = (lives: number, hold: number, tail: number): number =>
	hold < 1e-9 ? 0 : betaQuantile(tail, hold, lives - hold + 1);
const binomialHigh = (lives: number, hold: number, tail: number): number =>
	lives - hold < 1e-9 ? 1 : betaQuantile(1 - tail, hold + 1, lives - hold);

// Numbers from 0 to 1, the same ones for the same seed (Park and Miller 1988).
function dice(seed: number): () => number {
	let state = seed;
	return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}
