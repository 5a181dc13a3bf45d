import { gammaLn, gaussLegendre, powerRule, requireThat } from '../number';
import { expBelow } from '../number/expBelow';
import type { AgeNode } from './age';
import { SMOOTH, bridge, type BridgedLook, type Course } from './gammaBridge';
import type { RateGrid } from './rateGrid';
import type { WearShape } from './wearPrior';
import { MOST_NODES, raise, wearWindows, type Fineness, type WearLook, type WearWindow } from './wearWindow';

/** One part's wear as it was seen: how long it may have run before the first entry, and its looks in order of time. */
export interface WearHistory {
	readonly before: readonly AgeNode[];
	readonly looks: readonly WearLook[];
}

/** Where the steady process may stand at the last look: its values, each with a factor and the logarithm of the rest of its weight. */
interface LookNodes {
	readonly y: Float64Array;
	readonly factor: Float64Array;
	readonly logWeight: Float64Array;
	readonly shape: number;
	readonly logNorm: number;
}

/** What one history says under one path, for one possible age: the log evidence by rate, and the state at its last look. */
export interface Track {
	readonly weight: number;
	/** −∞ where a rate is out of the question. */
	readonly logEvidence: Float64Array;
	/** Gamma shape of the steady process at the last look, before any is read (at age, where there is none). */
	readonly shape: number;
	/** Undefined where there is no look. */
	readonly last?: StandAtLook;
}

/** A last look under one course of the wear. */
interface LastLook extends Course {
	readonly window: WearWindow;
	readonly sharpness: number;
	/** Wear (of the steady process) that the slowest rate considered would make by now: nodes are laid down to it. */
	readonly least: number;
}

/** Where the steady process may stand at the last look, split at one value of it, and how likely each is at one rate. */
interface WeighedLook {
	readonly y: Float64Array;
	/** By index of the rate; they sum to 1. */
	readonly weightsOf: (i: number) => Float64Array;
}

/** The last look under one course, for any question: split at the discard limit it is weighed once, with the evidence. */
export interface StandAtLook {
	readonly splitAt: (value: number) => WeighedLook;
}

const LEAST_HOURS = 1;
/** No machine runs longer, nothing is worn by more: numbers beyond are slips. Hours, and shares of the allowance. */
export const MOST_HOURS = 1e7;
const MOST_WORN = 1e6;
const MOST_STEADY = 1e6;
const LEAST_STEADY = 1e-6; // jumpier wear than this is no wear
const STEADY = `${LEAST_STEADY} to ${MOST_STEADY} in 1000 h`;
const MOST_BENT = 10;
/** Logarithms below the likeliest rate. */
const OUT_OF_THE_QUESTION = { part: 20, fleet: 20, change: 10 } as const;
const WIDEST = 5; // highest place of a piece over its lowest

// Ends of the pieces: the window's, where what is asked has its step, and between them so many that slow wear is seen as well.
function edgesOf({ window: { low, high, root }, least }: LastLook, splitAt: number): readonly number[] {
	const edges = [low, high];
	const split = splitAt ** (1 / root);
	if (split > low * (1 + 1e-9) && split < high * (1 - 1e-9)) edges.push(split);
	const first = low === 0 ? WIDEST * least ** (1 / root) : WIDEST * low;
	for (let edge = first; edge < high / WIDEST; edge *= WIDEST) edges.push(edge);
	return edges.sort((a, b) => a - b);
}

// Scratch of `lookNodes`.
const places = new Float64Array(MOST_NODES);
const told = new Float64Array(MOST_NODES);

// The nodes of a last look, split where what is asked has its step: at a value of the steady process.
function lookNodes(look: LastLook, splitAt: number): LookNodes {
	const { window, shape, before, sharpness } = look;
	const { root, place: seen, logLikelihood } = window;
	const edges = edgesOf(look, splitAt);
	const y: number[] = [];
	const factor: number[] = [];
	const logWeight: number[] = [];
	const power = root * shape - 1;
	for (let piece = 1; piece < edges.length; piece++) {
		const [from, to] = [edges[piece - 1], edges[piece]];
		const half = (to - from) / 2;
		const process = (root * Math.sqrt(shape)) / Math.min(to, Math.max(from + half / 4, seen));
		const { nodes, weights } = gaussLegendre(window.nodesFor(half, Math.hypot(window.sharpness, sharpness, process)));
		const bends = from === 0 && power + 1 < SMOOTH;
		const rule = bends ? powerRule(nodes.length, power + 1) : weights;
		const scale = root * (bends ? to ** (power + 1) : half);
		for (let j = 0; j < nodes.length; j++) places[j] = from + half * (1 + nodes[j]);
		told.fill(1);
		before?.told(places, nodes.length, told);
		const slope = before?.slope ?? 0;
		for (let j = 0; j < nodes.length; j++) {
			const place = places[j];
			y.push(raise(place, root));
			factor.push(scale * rule[j] * told[j]);
			logWeight.push(logLikelihood(place) + slope * place + (bends ? 0 : power * Math.log(place)));
		}
	}
	return {
		y: Float64Array.from(y),
		factor: Float64Array.from(factor),
		logWeight: Float64Array.from(logWeight),
		shape,
		logNorm: (before?.logScale ?? 0) - gammaLn(shape)
	};
}

// Weights of the nodes where the steady process has this scale, into `out`; they sum to 1.
// Returns the log evidence, −∞ where there is none.
function weigh({ y, factor, logWeight, shape, logNorm }: LookNodes, scale: number, out: Float64Array): number {
	const perScale = 1 / scale;
	let largest = -Infinity;
	for (let j = 0; j < y.length; j++) {
		out[j] = logWeight[j] - y[j] * perScale;
		if (out[j] > largest) largest = out[j];
	}
	let total = 0;
	for (let j = 0; j < y.length; j++) {
		out[j] = factor[j] * expBelow(out[j] - largest);
		total += out[j];
	}
	if (!(total > 0)) {
		out.fill(0);
		return -Infinity;
	}
	const scaled = 1 / total;
	for (let j = 0; j < y.length; j++) out[j] *= scaled;
	return largest + Math.log(total) - shape * Math.log(scale) + logNorm;
}

function requireHistory({ before, looks }: WearHistory): void {
	requireThat(before.length > 0, 'followWear', 'before', 'empty', 'at least one possible age');
	for (const { hours, weight } of before) {
		requireThat(hours >= 0 && hours <= MOST_HOURS, 'followWear', 'hours before', hours, `0 to ${MOST_HOURS}`);
		requireThat(weight > 0 && weight <= 1, 'followWear', 'weight', weight, 'above 0, at most 1');
	}
	let last = 0;
	for (const { hours, worn, u } of looks) {
		requireThat(hours >= last && hours <= MOST_HOURS, 'followWear', 'hours', hours, `${last} to ${MOST_HOURS}`);
		requireThat(Math.abs(worn) <= MOST_WORN, 'followWear', 'worn', worn, `at most ${MOST_WORN} allowances`);
		requireThat(u >= 0 && u <= MOST_WORN, 'followWear', 'u', u, `0 to ${MOST_WORN} allowances`);
		last = hours;
	}
}

const MOST_LOOKS = 60;

// The later half as it is, the others at even steps from the first.
function thinned(looks: readonly WearLook[]): readonly WearLook[] {
	if (looks.length <= MOST_LOOKS) return looks;
	const half = MOST_LOOKS / 2;
	const earlier = looks.length - half;
	const spread = Array.from({ length: half }, (_, i) => looks[Math.floor((i * earlier) / half)]);
	return [...spread, ...looks.slice(-half)];
}

/**
 * Evidence of one part's looks for each rate, its wear being a gamma process of that rate under one path (scatter, bending),
 * and where it stands at the last look: for each path, one track for each possible age.
 *
 * Given where the process stands at the last look, where it stood before does not depend on its rate (it is a gamma bridge):
 * all looks are so integrated once, whatever the rates, and only the last one rate by rate. Without looks the state is that at its age.
 * Of more than 60 looks the last 30 are read, and as many spread evenly over those before: neighbours repeat each other.
 * Shape: hours ascending. Units: hours; wear in shares of the allowance. Errors: PreconditionError where they are not so.
 * Accuracy: 3e-8 in a chance of passing the limit, one look or several, readings that fall included (tested against direct
 * integration); 2e-5 where a part wears much more evenly than its gauge reads. ln evidence for a fleet:
 * 1e-3, there 2e-2.
 * Source: J. van Noortwijk, Reliab. Eng. Syst. Saf. 94 (2009) 2–21 (gamma process); M. Émery, M. Yor, Publ. RIMS 40 (2004)
 * 669–688 (gamma bridge).
 */
export function followWear(
	history: WearHistory,
	paths: readonly Path[],
	{ rates, size }: RateGrid,
	fineness: Fineness = 'part'
): readonly (readonly Track[])[] {
	requireHistory(history);
	for (const path of paths) requirePath(path);
	requireThat(size === rates.length && rates.every((rate) => rate > 0), 'followWear', 'rates', size, 'rates above 0');
	const { before, looks } = { before: history.before, looks: thinned(history.looks) };
	const lasts = new Map(
		[...new Set(paths.map(({ exponent }) => exponent))].map((e) => [e, lastOf({ before, looks }, paths, e, fineness)])
	);
	const slowest = Math.min(...rates);
	const tracks = paths.map((path) =>
		history.before.map(({ hours, weight }, age) => {
			const last = lasts.get(path.exponent);
			if (!last) return { weight, logEvidence: new Float64Array(size), shape: shapeAt(history, path, hours) };
			const course = last.courses[age + history.before.length * pathsOf(paths, path.exponent).indexOf(path)];
			const least = (course.shape * slowest) / path.shapePer1000h;
			const look = { ...course, window: last.window, sharpness: last.sharpness, least };
			const scales = rates.map((rate) => rate / path.shapePer1000h);
			return {
				weight,
				shape: course.shape,
				...(fineness === 'part' ? standing(look, scales) : evidenceOnly(look, scales, fineness))
			};
		})
	);
	// Looks that no rate of any path explains say nothing of either.
	const explained = tracks.some((ages) => ages.some(({ logEvidence }) => logEvidence.some((one) => one > -Infinity)));
	if (!explained) for (const { logEvidence } of tracks.flat()) logEvidence.fill(0);
	return tracks;
}

type Path = Pick<WearShape, 'shapePer1000h' | 'exponent'>;

function requirePath({ shapePer1000h, exponent }: Path): void {
	requireThat(
		shapePer1000h >= LEAST_STEADY && shapePer1000h <= MOST_STEADY,
		'followWear',
		'shapePer1000h',
		shapePer1000h,
		STEADY
	);
	requireThat(
		exponent > 0 && exponent <= MOST_BENT,
		'followWear',
		'exponent',
		exponent,
		`above 0, at most ${MOST_BENT}`
	);
}

const pathsOf = (paths: readonly Path[], exponent: number) => paths.filter((path) => path.exponent === exponent);

// Gamma shape at the first look, or at its age where there is none.
const shapeAt = ({ looks }: WearHistory, { shapePer1000h }: Path, hours: number): number =>
	(shapePer1000h * Math.max(LEAST_HOURS, hours + (looks[0]?.hours ?? 0))) / 1000;

// The last look under all paths of one bending, and within each under all ages.
function lastOf(
	history: WearHistory,
	paths: readonly Path[],
	exponent: number,
	fineness: Fineness
): BridgedLook | undefined {
	const { before, looks } = history;
	if (looks.length === 0) return undefined;
	const windows = wearWindows(looks, exponent, fineness);
	const courses = pathsOf(paths, exponent).flatMap((path) => before.map((age) => ({ path, age })));
	let last: BridgedLook = {
		window: windows[0],
		courses: courses.map(({ path, age }) => ({ shape: shapeAt(history, path, age.hours) })),
		sharpness: 0
	};
	for (let k = 1; k < looks.length; k++) {
		const more = Math.max(LEAST_HOURS, looks[k].hours - looks[k - 1].hours) / 1000;
		const mores = courses.map(({ path }) => path.shapePer1000h * more);
		last = bridge(last, mores, windows[k]);
	}
	return last;
}

const DISCARD_LIMIT = 1; // as a share of the allowance, whatever the bending

// For a fleet, whose parts are not asked where they stand.
function evidenceOnly(
	look: LastLook,
	scales: Float64Array,
	fineness: Fineness
): { readonly logEvidence: Float64Array } {
	const nodes = lookNodes(look, 0);
	const weights = new Float64Array(nodes.y.length);
	return { logEvidence: evidenceByRate(look, nodes, scales, fineness, (i) => weigh(nodes, scales[i], weights)) };
}

function standing(
	look: LastLook,
	scales: Float64Array
): { readonly logEvidence: Float64Array; readonly last: StandAtLook } {
	const atLimit = weighed(look, scales, DISCARD_LIMIT);
	const logEvidence = evidenceByRate(look, atLimit.nodes, scales, 'part', atLimit.evidenceAt);
	const others = new Map<number, WeighedLook>();
	const splitAt = (value: number): WeighedLook => {
		if (value === DISCARD_LIMIT) return atLimit;
		let kept = others.get(value);
		if (!kept) others.set(value, (kept = weighed(look, scales, value)));
		return kept;
	};
	return { logEvidence, last: { splitAt } };
}

// Each rate is weighed when first asked for.
function weighed(look: LastLook, scales: Float64Array, splitAt: number) {
	const nodes = lookNodes(look, splitAt);
	const weights: (Float64Array | undefined)[] = new Array(scales.length);
	const evidenceAt = (i: number) => weigh(nodes, scales[i], (weights[i] = new Float64Array(nodes.y.length)));
	const weightsOf = (i: number): Float64Array => {
		if (!weights[i]) evidenceAt(i);
		return weights[i]!;
	};
	return { nodes, y: nodes.y, evidenceAt, weightsOf };
}

// At every rate that is not out of the question: from the likeliest outwards, since likelihood falls to both sides.
function evidenceByRate(
	{ shape }: LastLook,
	{ y }: LookNodes,
	scales: Float64Array,
	fineness: Fineness,
	evidenceAt: (i: number) => number
): Float64Array {
	const logEvidence = new Float64Array(scales.length).fill(-Infinity);
	const seen = y[y.length >> 1];
	let start = 0;
	while (start < scales.length - 1 && shape * scales[start] < seen) start++;
	let best = -Infinity;
	const readAt = (i: number): boolean => {
		logEvidence[i] = evidenceAt(i);
		best = Math.max(best, logEvidence[i]);
		return logEvidence[i] > best - OUT_OF_THE_QUESTION[fineness];
	};
	for (let i = start; i >= 0 && readAt(i); i--);
	for (let i = start + 1; i < scales.length && readAt(i); i++);
	return logEvidence;
}
