import { gammaLn, requireThat } from '../number';
import { expBelow } from '../number/expBelow';
import type { AgeNode } from './age';
import { LifeContext } from './context';
import { SMOOTH, bridge, type BridgedInspection, type Course } from './gammaBridge';
import type { RateGrid } from './rateGrid';
import type { WearShape } from './wearPrior';
import { MOST_NODES, raise, wearWindows, type Fineness, type WearInspection } from './wearWindow';

/** One part's wear as it was seen: how long it may have run before the first entry, and its inspections in order of time. */
export interface WearHistory {
	readonly before: readonly AgeNode[];
	readonly inspections: readonly WearInspection[];
}

/** Where the steady process may stand at the last inspection: its values, each with the sign and the logarithm of its weight. */
interface InspectionNodes {
	readonly y: Float64Array;
	readonly sign: Float64Array;
	readonly logWeight: Float64Array;
	readonly shape: number;
	readonly logNorm: number;
}

/** What one history says under one path, for one possible age: the log evidence by rate, and the state at its last inspection. */
export interface Track {
	readonly weight: number;
	/** −∞ where a rate is out of the question. */
	readonly logEvidence: Float64Array;
	/** Gamma shape of the steady process at the last inspection, before any is read (at age, where there is none). */
	readonly shape: number;
	/** Undefined where there is no inspection. */
	readonly last?: StandAtInspection;
	/** The same at one rate alone. */
	readonly standAt?: StandAt;
	/** Where the rate to come is another than that of the track. */
	readonly toCome?: RateToCome;
}

/** How the rates of a track and those to come go together. */
export interface RateToCome {
	/** The mean of a figure at each rate of the track, from the figure at each rate to come, by its index. */
	readonly meanOf: (figure: (i: number) => number) => Float64Array;
	/** The weight of each rate to come, from the weight of each rate of the track. */
	readonly weightsFrom: (weights: Float64Array) => Float64Array;
}

/** A last inspection under one course of the wear. */
interface LastInspection extends Course, Pick<BridgedInspection, 'window' | 'sharpness' | 'context'> {
	/** Wear (of the steady process) that the slowest rate considered would make by now: nodes are laid down to it. */
	readonly least: number;
}

/** Where the steady process may stand at the last inspection, split at one value of it, and how likely each is at one rate. */
interface WeighedInspection {
	/** Ascending. */
	readonly y: Float64Array;
	/** One row of weights for each rate, one after the other: many small lists cost more than what is in them. */
	readonly weights: Float64Array;
	/** Where the row of a rate begins, by its index; its weights sum to 1. */
	readonly rowOf: (i: number) => number;
}

/** The last inspection under one course, for any question: split at the discard limit it is weighed once, with the evidence. */
export interface StandAtInspection {
	readonly splitAt: (value: number) => WeighedInspection;
}

/** Where the process may stand, ascending and split at a value of it, and how likely each position is: at one rate, given by its index. */
export type StandAt = (value: number, rate: number) => { readonly y: Float64Array; readonly weights: Float64Array };

const LEAST_HOURS = 1;
/** No machine runs longer, nothing is worn by more: numbers beyond are slips. Hours, and shares of the allowance. */
export const MOST_HOURS = 1e7;
const MOST_WORN = 1e6;
const MOST_STEADY = 1e6;
const LEAST_STEADY = 1e-6; // jumpier wear than this is no wear
const STEADY = `${LEAST_STEADY} to ${MOST_STEADY} in 1000 h`;
const MOST_BENT = 10;
/** Logarithms below the likeliest rate. */
const OUT_OF_THE_QUESTION = 18;
const WIDEST = 5; // highest position of a piece over its lowest

// Ends of the pieces: the window's, where what is asked has its step, and between them so many that slow wear is seen as well,
// and no wear at all, which jumpy wear makes likely even where the reading leaves it little.
function edgesOf({ window: { low, high, root, position }, least }: LastInspection, splitAt: number): readonly number[] {
	const edges = low === 0 ? [0, position / 2, high] : [low, high];
	const split = splitAt ** (1 / root);
	if (split > low * (1 + 1e-9) && split < high * (1 - 1e-9)) edges.push(split);
	const first = low === 0 ? WIDEST * least ** (1 / root) : WIDEST * low;
	for (let edge = first; edge < high / WIDEST; edge *= WIDEST) edges.push(edge);
	return edges.sort((a, b) => a - b);
}

// Scratch of `lookNodes`.
const positions = new Float64Array(MOST_NODES);
const told = new Float64Array(MOST_NODES);
const likely = new Float64Array(MOST_NODES);

// The nodes of a last inspection, split where what is asked has its step: at a value of the steady process.
function inspectionNodes(inspection: LastInspection, splitAt: number): InspectionNodes {
	const { window, shape, read, sharpness } = inspection;
	const { root, position: seen, logLikelihoods } = window;
	const edges = edgesOf(inspection, splitAt);
	const counts = edges.slice(1).map((to, piece) => {
		const half = (to - edges[piece]) / 2;
		const process = (root * Math.sqrt(shape)) / Math.min(to, Math.max(edges[piece] + half / 4, seen));
		return window.nodesFor(half, Math.hypot(sharpness, process));
	});
	const all = counts.reduce((sum, count) => sum + count, 0);
	const y = new Float64Array(all);
	const sign = new Float64Array(all);
	const logWeight = new Float64Array(all);
	const power = root * shape - 1;
	let at = 0;
	for (const [piece, count] of counts.entries()) {
		const [from, to] = [edges[piece], edges[piece + 1]];
		const half = (to - from) / 2;
		const { nodes, weights } = inspection.context.rule(count);
		const bends = from === 0 && power + 1 < SMOOTH;
		const rule = bends ? inspection.context.singularRule(count, power + 1) : weights;
		const scale = root * (bends ? to ** (power + 1) : half);
		for (let j = 0; j < count; j++) positions[j] = from + half * (1 + nodes[j]);
		if (read) {
			read.told(positions, count, told);
			likely.fill(0, 0, count);
		} else {
			told.fill(1, 0, count);
			logLikelihoods(positions, count, likely);
		}
		for (let j = 0; j < count; j++, at++) {
			const position = positions[j];
			y[at] = raise(position, root);
			const factor = scale * rule[j] * told[j];
			sign[at] = Math.sign(factor);
			logWeight[at] = Math.log(Math.abs(factor)) + likely[j] + (bends ? 0 : power * Math.log(position));
		}
	}
	return {
		y,
		sign,
		logWeight,
		shape,
		logNorm: (read?.logScale ?? 0) - gammaLn(shape)
	};
}

// Weights of the nodes where the steady process has this scale, into a row of `out`; they sum to 1.
// Returns the log evidence, −∞ where there is none.
function weigh(nodes: InspectionNodes, scale: number, out: Float64Array, row: number): number {
	const { y, sign, logWeight, shape, logNorm } = nodes;
	const perScale = 1 / scale;
	let largest = -Infinity;
	for (let j = 0; j < y.length; j++) {
		const log = logWeight[j] - y[j] * perScale;
		out[row + j] = log;
		if (log > largest) largest = log;
	}
	let total = 0;
	for (let j = 0; j < y.length; j++) total += out[row + j] = sign[j] * expBelow(out[row + j] - largest);
	if (!(total > 0)) {
		out.fill(0, row, row + y.length);
		return -Infinity;
	}
	const scaled = 1 / total;
	for (let j = 0; j < y.length; j++) out[row + j] *= scaled;
	return largest + Math.log(total) - shape * Math.log(scale) + logNorm;
}

function requireHistory({ before, inspections }: WearHistory): void {
	requireThat(before.length > 0, 'followWear', 'before', 'empty', 'at least one possible age');
	for (const { hours, weight } of before) {
		requireThat(hours >= 0 && hours <= MOST_HOURS, 'followWear', 'hours before', hours, `0 to ${MOST_HOURS}`);
		requireThat(weight > 0 && weight <= 1, 'followWear', 'weight', weight, 'above 0, at most 1');
	}
	let last = 0;
	for (const { hours, worn, u } of inspections) {
		requireThat(hours >= last && hours <= MOST_HOURS, 'followWear', 'hours', hours, `${last} to ${MOST_HOURS}`);
		requireThat(Math.abs(worn) <= MOST_WORN, 'followWear', 'worn', worn, `at most ${MOST_WORN} allowances`);
		requireThat(u >= 0 && u <= MOST_WORN, 'followWear', 'u', u, `0 to ${MOST_WORN} allowances`);
		last = hours;
	}
}

const MOST_LOOKS = 60;

// The later half as it is, the others at even steps from the first.
function thinned(inspections: readonly WearInspection[]): readonly WearInspection[] {
	if (inspections.length <= MOST_LOOKS) return inspections;
	const half = MOST_LOOKS / 2;
	const earlier = inspections.length - half;
	const spread = Array.from({ length: half }, (_, i) => inspections[Math.floor((i * earlier) / half)]);
	return [...spread, ...inspections.slice(-half)];
}

/**
 * Evidence of one part's looks for each rate, its wear being a gamma process of that rate under one path (scatter, bending),
 * and where it stands at the last inspection: for each path, one track for each possible age.
 *
 * Given where the process stands at the last inspection, where it stood before does not depend on its rate (it is a gamma bridge):
 * all inspections are integrated once for all rates, and only the last one rate by rate. Without inspections the state is that at its age.
 * Of more than 60 inspections the last 30 are read, and as many spread evenly over those before: neighbours repeat each other.
 * Shape: hours ascending. Units: hours; wear in shares of the allowance. Errors: PreconditionError where they are not so.
 * Accuracy, tested against direct integration, one inspection or several, readings that fall included: 2e-4 in a chance of passing the
 * limit, 1e-3 in ln evidence (2e-3 for a fleet; 2e-2 where wear is steady, or so jumpy that it stands still); 0.6 under a path that
 * does not explain a jump by e⁻²⁰.
 * Source: J. van Noortwijk, Reliab. Eng. Syst. Saf. 94 (2009) 2–21 (gamma process); M. Émery, M. Yor, Publ. RIMS 40 (2004)
 * 669–688 (gamma bridge).
 */
export function followWear(
	history: WearHistory,
	paths: readonly Path[],
	{ rates, size }: RateGrid,
	fineness: Fineness = 'part',
	context = new LifeContext()
): readonly (readonly Track[])[] {
	requireHistory(history);
	for (const path of paths) requirePath(path);
	requireThat(size === rates.length && rates.every((rate) => rate > 0), 'followWear', 'rates', size, 'rates above 0');
	const { before, inspections } = { before: history.before, inspections: thinned(history.inspections) };
	const lasts = new Map(
		[...new Set(paths.map(({ exponent }) => exponent))].map((e) => [
			e,
			lastOf({ before, inspections }, paths, e, fineness, context)
		])
	);
	const slowest = Math.min(...rates);
	const tracks = paths.map((path) =>
		history.before.map(({ hours, weight }, age) => {
			const last = lasts.get(path.exponent);
			if (!last) return { weight, logEvidence: new Float64Array(size), shape: shapeAt(history, path, hours) };
			const course = last.courses[age + history.before.length * pathsOf(paths, path.exponent).indexOf(path)];
			const least = (course.shape * slowest) / path.shapePer1000h;
			const inspection = { ...course, window: last.window, sharpness: last.sharpness, least, context };
			const scales = rates.map((rate) => rate / path.shapePer1000h);
			return { weight, shape: course.shape, ...standing(inspection, scales, fineness) };
		})
	);
	// Inspections that no rate of any path explains say nothing of either.
	const explained = tracks.some((ages) =>
		ages.some(({ logEvidence }) => logEvidence.some((value) => value > -Infinity))
	);
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

// Gamma shape at the first inspection, or at its age where there is none.
const shapeAt = ({ inspections }: WearHistory, { shapePer1000h }: Path, hours: number): number =>
	(shapePer1000h * Math.max(LEAST_HOURS, hours + (inspections[0]?.hours ?? 0))) / 1000;

// The last inspection under all paths of one bending, and within each under all ages.
function lastOf(
	history: WearHistory,
	paths: readonly Path[],
	exponent: number,
	fineness: Fineness,
	context: LifeContext
): BridgedInspection | undefined {
	const { before, inspections } = history;
	if (inspections.length === 0) return undefined;
	const windows = wearWindows(inspections, exponent, fineness);
	const courses = pathsOf(paths, exponent).flatMap((path) => before.map((age) => ({ path, age })));
	let last: BridgedInspection = {
		window: windows[0],
		courses: courses.map(({ path, age }) => ({ shape: shapeAt(history, path, age.hours) })),
		sharpness: windows[0].sharpness,
		context
	};
	for (let k = 1; k < inspections.length; k++) {
		const more = Math.max(LEAST_HOURS, inspections[k].hours - inspections[k - 1].hours) / 1000;
		const mores = courses.map(({ path }) => path.shapePer1000h * more);
		last = bridge(last, mores, windows[k]);
	}
	return last;
}

const DISCARD_LIMIT = 1; // as a share of the allowance, whatever the bending

function standing(
	inspection: LastInspection,
	scales: Float64Array,
	fineness: Fineness
): Pick<Track, 'logEvidence' | 'last' | 'standAt'> {
	const made = new Map<number, WeighedInspection>();
	const standAt: StandAt = (value, rate) => {
		const known = made.get(value);
		if (known) return { y: known.y, weights: known.weights.subarray(known.rowOf(rate)).subarray(0, known.y.length) };
		const nodes = inspectionNodes(inspection, value);
		const weights = new Float64Array(nodes.y.length);
		weigh(nodes, scales[rate], weights, 0);
		return { y: nodes.y, weights };
	};
	const splitAt = (value: number): WeighedInspection => {
		let kept = made.get(value);
		if (!kept) made.set(value, (kept = weighed(inspection, scales, value)));
		return kept;
	};
	if (fineness === 'fleet') return { logEvidence: evidenceOnly(inspection, scales), last: { splitAt }, standAt };
	const atLimit = weighed(inspection, scales, DISCARD_LIMIT);
	made.set(DISCARD_LIMIT, atLimit);
	return {
		logEvidence: evidenceByRate(inspection, atLimit.nodes, scales, atLimit.evidenceAt),
		last: { splitAt },
		standAt
	};
}

// For a fleet, whose parts are seldom asked where they stand.
function evidenceOnly(inspection: LastInspection, scales: Float64Array): Float64Array {
	const nodes = inspectionNodes(inspection, 0);
	const weights = new Float64Array(nodes.y.length);
	return evidenceByRate(inspection, nodes, scales, (i) => weigh(nodes, scales[i], weights, 0));
}

// Each rate is weighed when first asked for.
function weighed(inspection: LastInspection, scales: Float64Array, splitAt: number) {
	const nodes = inspectionNodes(inspection, splitAt);
	const { y } = nodes;
	const weights = new Float64Array(scales.length * y.length);
	const isWeighed = new Uint8Array(scales.length);
	const evidenceAt = (i: number): number => {
		isWeighed[i] = 1;
		return weigh(nodes, scales[i], weights, i * y.length);
	};
	const rowOf = (i: number): number => {
		if (!isWeighed[i]) evidenceAt(i);
		return i * y.length;
	};
	return { nodes, y, weights, evidenceAt, rowOf };
}

// At every rate that is not out of the question: from the likeliest outwards, since likelihood falls to both sides.
function evidenceByRate(
	{ shape }: LastInspection,
	{ y }: InspectionNodes,
	scales: Float64Array,
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
		return logEvidence[i] > best - OUT_OF_THE_QUESTION;
	};
	for (let i = start; i >= 0 && readAt(i); i--);
	for (let i = start + 1; i < scales.length && readAt(i); i++);
	return logEvidence;
}
