import { requireThat } from '../number';
import { isWatchedLate, requireLives, type ObservedLife } from './observedLife';

/** A stretch of hours in which ends may lie, and the share of all lives that ends there. Where within it no one can say. */
export interface Mass {
	readonly after: number;
	readonly by: number;
	readonly share: number;
}

export interface Turnbull {
	readonly masses: readonly Mass[];
	readonly logLikelihood: number;
	/**
	 * The most by which ln likelihood lies below its maximum: n·(largest gradient/n − 1), of the Karush–Kuhn–Tucker conditions.
	 */
	readonly gap: number;
	readonly settled: boolean;
}

const SETTLED = 1e-6;
const MOST_ROUNDS = 4000;
const FORGOTTEN = 1e-14;

/**
 * The distribution of life that makes interval-censored ends most likely, without a shape assumed, and the certificate that it is.
 *
 * Mass can lie only in stretches that begin where some interval begins and end where the next one ends. Self-consistent steps (EM)
 * in turn with steps of the convex minorant; it stops where the certificate says so.
 * Units: hours. Errors: PreconditionError for no lives, such as cannot be, or such as were not watched from their fitting on.
 * Source: B. Turnbull, J. Royal Stat. Soc. B 38 (1976) 290–295; J. Wellner, Y. Zhan, J. Am. Stat. Assoc. 92 (1997) 945–959;
 * R. Gentleman, C. Geyer, Biometrika 81 (1994) 618–623 (certificate).
 */
export function turnbull(lives: readonly ObservedLife[]): Turnbull {
	requireLives('turnbull', lives);
	requireThat(lives.length > 0, 'turnbull', 'lives', 'none', 'at least one');
	requireThat(!lives.some(isWatchedLate), 'turnbull', 'lives', 'watched late', 'watched from their fitting on');
	const stretches = stretchesOf(lives);
	const blocks = blocksOf(lives, stretches);
	const n = lives.length;
	const count = stretches.length;
	let shares: Float64Array = new Float64Array(count).fill(1 / count);
	let gap = Infinity;
	for (let round = 0; round < MOST_ROUNDS && gap > SETTLED; round++) {
		shares = convexMinorantStep(selfConsistent(selfConsistent(shares, blocks), blocks), blocks);
		gap = n * (largest(gradient(shares, blocks)) / n - 1);
	}
	return {
		masses: stretches.map((stretch, i) => ({ ...stretch, share: shares[i] })).filter(({ share }) => share > FORGOTTEN),
		logLikelihood: logLikelihood(shares, blocks),
		gap,
		settled: gap <= SETTLED
	};
}

interface Blocks {
	readonly first: Int32Array;
	/** One past the last. */
	readonly last: Int32Array;
}

// Ends lie in (after, by]; a known moment in [by, by]. At equal hours an open beginning comes after what ends there.
function stretchesOf(lives: readonly ObservedLife[]): { after: number; by: number }[] {
	const points = lives
		.flatMap(({ after, by }) => [
			{ at: after, order: after === by ? 0 : 2, begins: true },
			{ at: by, order: 1, begins: false }
		])
		.toSorted((a, b) => (a.at === b.at ? a.order - b.order : a.at - b.at));
	return points.flatMap(({ at, begins }, i) => {
		const next = points[i + 1];
		return begins && next && !next.begins ? [{ after: at, by: next.at }] : [];
	});
}

function blocksOf(lives: readonly ObservedLife[], stretches: readonly { after: number; by: number }[]): Blocks {
	const ends = Float64Array.from(stretches, ({ by }) => by);
	const firstAtLeast = (hours: number, orEqual: boolean): number => {
		let [low, high] = [0, ends.length];
		while (low < high) {
			const middle = (low + high) >> 1;
			if (orEqual ? ends[middle] >= hours : ends[middle] > hours) high = middle;
			else low = middle + 1;
		}
		return low;
	};
	return {
		first: Int32Array.from(lives, ({ after, by }) => firstAtLeast(after, after === by)),
		last: Int32Array.from(lives, ({ by }) => firstAtLeast(by, false))
	};
}

function cumulativeOf(shares: Float64Array): Float64Array {
	const sums = new Float64Array(shares.length + 1);
	for (let j = 0; j < shares.length; j++) sums[j + 1] = sums[j] + shares[j];
	return sums;
}

function logLikelihood(shares: Float64Array, { first, last }: Blocks): number {
	const sums = cumulativeOf(shares);
	let total = 0;
	for (let i = 0; i < first.length; i++) total += Math.log(sums[last[i]] - sums[first[i]]);
	return total;
}

// For each stretch the sum of 1/P over the lives whose interval holds it.
function gradient(shares: Float64Array, { first, last }: Blocks): Float64Array {
	const sums = cumulativeOf(shares);
	const steps = new Float64Array(shares.length + 1);
	for (let i = 0; i < first.length; i++) {
		const inverse = 1 / Math.max(1e-300, sums[last[i]] - sums[first[i]]);
		steps[first[i]] += inverse;
		steps[last[i]] -= inverse;
	}
	const out = new Float64Array(shares.length);
	let total = 0;
	for (let j = 0; j < out.length; j++) out[j] = total += steps[j];
	return out;
}

const largest = (values: Float64Array): number => values.reduce((most, value) => Math.max(most, value), -Infinity);

function selfConsistent(shares: Float64Array, blocks: Blocks): Float64Array {
	const slopes = gradient(shares, blocks);
	return shares.map((share, j) => (share * slopes[j]) / blocks.first.length);
}

// Newton's step on the cumulative shares with a diagonal curvature, brought back into order by pooling, as far as it gains.
function convexMinorantStep(shares: Float64Array, blocks: Blocks): Float64Array {
	const { first, last } = blocks;
	const free = shares.length - 1;
	if (free < 1) return shares;
	const sums = cumulativeOf(shares);
	const slope = new Float64Array(shares.length + 1);
	const curvature = new Float64Array(shares.length + 1).fill(1e-9);
	for (let i = 0; i < first.length; i++) {
		const inverse = 1 / Math.max(1e-300, sums[last[i]] - sums[first[i]]);
		slope[last[i]] += inverse;
		slope[first[i]] -= inverse;
		curvature[last[i]] += inverse * inverse;
		curvature[first[i]] += inverse * inverse;
	}
	const target = pooled(
		Float64Array.from({ length: free }, (_, j) => sums[j + 1] + slope[j + 1] / curvature[j + 1]),
		curvature.subarray(1, free + 1)
	);
	const before = logLikelihood(shares, blocks);
	for (let share = 1; share > 1e-4; share /= 2) {
		const next = new Float64Array(shares.length);
		let from = 0;
		for (let j = 0; j < next.length; j++) {
			const wanted = j < free ? Math.min(1, Math.max(0, target[j])) : 1;
			const to = sums[j + 1] + share * (wanted - sums[j + 1]);
			next[j] = Math.max(0, to - from);
			from = to;
		}
		// A whole step may empty a stretch that another life needs; a little stays, so that it can come back.
		const mixed = next.map((value, j) => 0.999999 * value + 0.000001 * shares[j]);
		if (logLikelihood(mixed, blocks) > before) return mixed;
	}
	return shares;
}

// Weighted isotonic regression: pool adjacent violators.
function pooled(values: Float64Array, weights: Float64Array): Float64Array {
	const level: number[] = [];
	const weight: number[] = [];
	const length: number[] = [];
	for (let j = 0; j < values.length; j++) {
		level.push(values[j]);
		weight.push(weights[j]);
		length.push(1);
		while (level.length > 1 && level.at(-2)! > level.at(-1)!) {
			const [v, w, l] = [level.pop()!, weight.pop()!, length.pop()!];
			const last = level.length - 1;
			level[last] = (level[last] * weight[last] + v * w) / (weight[last] + w);
			weight[last] += w;
			length[last] += l;
		}
	}
	const out = new Float64Array(values.length);
	let j = 0;
	for (const [block, value] of level.entries()) for (let i = 0; i < length[block]; i++) out[j++] = value;
	return out;
}
