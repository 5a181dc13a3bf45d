import type { LifeContext } from './context';
import type { RateGrid } from './rateGrid';
import {
	followWear,
	type RateToCome,
	type StandAt,
	type StandAtInspection,
	type Track,
	type WearHistory
} from './wearInspections';
import type { WearShape } from './wearPrior';
import { followSince } from './wearSince';

type Path = Pick<WearShape, 'shapePer1000h' | 'exponent'>;

/** Chance that the rate of a part that wears straight changes at one inspection: our own assumption, held to by `npm run calibrate`. */
export const RATE_CHANGES = 0.06;
/** Where wear bends, its rate changes anyway: a few readings cannot tell that from a change. */
const STRAIGHT = 1;
/** Standard deviation of the logarithm of such a change: a rate that doubles or halves is usual, one that triples is not rare. */
const CHANGE_SD = 0.8;
/** Inspections before the last at which a change is considered: one further back shows in the inspections since. */
const LATEST = 2;

/**
 * Adds the tracks of a part whose rate may have changed at an inspection, or may change from its last inspection on.
 *
 * The rate of a track is the part's own, as its kind has it: with a change at inspection k that is its rate up to there, and the one since
 * and to come differs by a factor that is spread lognormally. The wear since inspection k is a history of its own (`followSince`). A change
 * at the last inspection itself leaves the rate to come open about the one that was seen. At most one change is considered, at one of the
 * last three inspections.
 * Shape: tracks as `followWear` gives them for this history; for each straight path one more is appended for each possible change.
 * Without an inspection nothing is. Accuracy: 2e-3 in a chance, tested against direct integration. Units and errors: as `followWear`.
 * Source: a change point with a geometric prior, R. Adams, D. MacKay, arXiv:0710.3742 (2007).
 */
export function withChangedRates(
	tracks: readonly (readonly Track[])[],
	history: WearHistory,
	paths: readonly Path[],
	grid: RateGrid,
	changes: number,
	context: LifeContext
): readonly (readonly Track[])[] {
	const { inspections } = history;
	if (inspections.length === 0 || changes === 0) return tracks;
	const coarse = coarser(grid);
	const turns = Array.from({ length: Math.min(LATEST, inspections.length - 1) }, (_, i) => inspections.length - 2 - i);
	const straight = paths.filter(({ exponent }) => exponent === STRAIGHT);
	const segments = turns.map((k) => ({
		until: followWear(
			{ before: history.before, inspections: inspections.slice(0, k + 1) },
			straight,
			coarse,
			'fleet',
			context
		),
		since: followSince(inspections.slice(k), straight, coarse, context)
	}));
	const ahead = changedFrom(new Float64Array(grid.size), grid);
	const unchanged = 1 - changes * (turns.length + 1);
	return tracks.map((ages, p) => {
		if (paths[p].exponent !== STRAIGHT) return ages;
		const among = straight.indexOf(paths[p]);
		const seen = logSum(ages);
		const { shape, standAt, logEvidence } = ages.reduce((a, b) =>
			largestOf(b.logEvidence) > largestOf(a.logEvidence) ? b : a
		);
		const now = { weight: changes, logEvidence: seen, shape, toCome: ahead.toCome };
		return [
			...ages.map((age) => ({ ...age, weight: age.weight * unchanged })),
			{ ...now, last: atOneRate(standAt!, likeliestOf(logEvidence)) },
			...segments.map(({ until, since }): Track => {
				const turned = changedFrom(atEvery(since[among].logEvidence, grid.size), grid);
				const before = atEvery(logSum(until[among]), grid.size);
				return {
					weight: changes,
					logEvidence: before.map((log, i) => log + turned.logEvidence[i]),
					shape,
					last: atOneRate(since[among].standAt, likeliestOf(since[among].logEvidence)),
					toCome: turned.toCome
				};
			})
		];
	});
}

const TIMES = 2; // coarser: a change spreads far wider than a step

function coarser({ step, rates }: RateGrid): RateGrid {
	const at = atCoarse(rates);
	return { step: step * TIMES, size: at.length, middle: (at.length - 1) / 2, rates: at };
}

const atCoarse = (values: Float64Array): Float64Array => values.filter((_, i) => i % TIMES === 0);

const MOST_BEND = 1; // beside a rate that is out of the question a cubic swings far out

// Between coarse rates by a cubic through the four about them: logarithms of evidence bend gently.
function atEvery(coarse: Float64Array, size: number): Float64Array {
	const every = new Float64Array(size);
	for (let i = 0; i < size; i += TIMES) every[i] = coarse[i / TIMES];
	for (let i = 1; i < size; i += TIMES) {
		const [a, b, c, d] = [-3, -1, 1, 3].map((off) => every[i + off] ?? -Infinity);
		const straight = (b + c) / 2;
		const bend = (b + c - a - d) / 16;
		every[i] = Number.isFinite(bend) ? straight + Math.max(-MOST_BEND, Math.min(MOST_BEND, bend)) : straight;
	}
	return every;
}

const OUT_OF_THE_QUESTION = 14; // logarithms below the likeliest rate: 1e-6 of it

// From the ln evidence of the rate after a change: the ln evidence of the rate before it, and how the two rates go together.
function changedFrom(logAfter: Float64Array, { step, size }: RateGrid) {
	const largest = largestOf(logAfter);
	const kernel = Float64Array.from({ length: size }, (_, d) => Math.exp(-(((d * step) / CHANGE_SD) ** 2) / 2));
	const whole = 2 * kernel.reduce((sum, value) => sum + value, 0) - kernel[0];
	const after = logAfter.map((log) => (log > largest - OUT_OF_THE_QUESTION ? Math.exp(log - largest) / whole : 0));
	const spread = (values: Float64Array): Float64Array => {
		const sums = new Float64Array(size);
		for (let j = 0; j < size; j++)
			if (values[j] !== 0) for (let i = 0; i < size; i++) sums[i] += values[j] * kernel[Math.abs(i - j)];
		return sums;
	};
	const shares = spread(after);
	const perShare = (values: Float64Array) => values.map((value, i) => (shares[i] > 0 ? value / shares[i] : 0));
	const toCome: RateToCome = {
		meanOf: (figure) => perShare(spread(after.map((share, j) => (share > 0 ? share * figure(j) : 0)))),
		weightsFrom: (weights) => spread(perShare(weights)).map((weight, j) => weight * after[j])
	};
	return { logEvidence: shares.map((share) => largest + Math.log(share)), toCome };
}

function largestOf(values: Float64Array): number {
	let largest = -Infinity;
	for (let i = 0; i < values.length; i++) if (values[i] > largest) largest = values[i];
	return largest;
}

// ln of the sum of evidences, rate by rate, each with its weight.
function logSum(terms: readonly { readonly weight: number; readonly logEvidence: Float64Array }[]): Float64Array {
	const { length } = terms[0].logEvidence;
	const largest = Math.max(...terms.map(({ logEvidence }) => largestOf(logEvidence)));
	const total = new Float64Array(length);
	if (largest === -Infinity) return total.fill(-Infinity);
	for (const { weight, logEvidence } of terms)
		for (let i = 0; i < length; i++) total[i] += weight * Math.exp(logEvidence[i] - largest);
	for (let i = 0; i < length; i++) total[i] = largest + Math.log(total[i]);
	return total;
}

const likeliestOf = (logEvidence: Float64Array): number => logEvidence.indexOf(largestOf(logEvidence));

const IGNORED = 1e-4; // of where it may stand

// Where the wear stands hardly depends on which of the likely rates has made it: its distribution under the likeliest one.
function atOneRate(standAt: StandAt, rate: number): StandAtInspection {
	const known = new Map<number, ReturnType<StandAtInspection['splitAt']>>();
	const weighed = (value: number) => {
		const { y, weights } = standAt(value, rate);
		const isKept = (_: number, j: number) => Math.abs(weights[j]) > IGNORED;
		return { y: y.filter(isKept), weights: weights.filter(isKept), rowOf: () => 0 };
	};
	return {
		splitAt: (value) => {
			const made = known.get(value) ?? weighed(value);
			known.set(value, made);
			return made;
		}
	};
}
