import { gammaLn, gaussLegendre, requireThat } from '../number';
import { expBelow } from '../number/expBelow';
import type { AgeNode } from './age';
import type { RateGrid } from './rateGrid';
import type { WearShape } from './wearPrior';

/** One look at one size: hours run since the history's beginning, and the wear then as a share of the allowance, with its u. */
export interface WearLook {
	readonly hours: number;
	readonly worn: number;
	readonly u: number;
}

/** One part's wear as it was seen: how long it may have run before the first entry, and its looks in order of time. */
export interface WearHistory {
	readonly before: readonly AgeNode[];
	readonly looks: readonly WearLook[];
}

/** Where the wear may stand at one look: values of the steady process, with the logarithms of weight × density of the reading. */
interface LookNodes {
	readonly y: Float64Array;
	readonly logY: Float64Array;
	readonly logWeight: Float64Array;
	/** Wear below the first node counts as a lump there: its edge, and the log density of the reading at no wear. */
	readonly logFloor: number;
	readonly logAtZero: number;
}

/** What one history says under one path, for one possible age: the log evidence and the state before its last look, by rate. */
export interface Track {
	readonly weight: number;
	/** −∞ where a rate is out of the question. */
	readonly logEvidence: Float64Array;
	/** Gamma shape and scale of the steady process at the last look, before that look is read (at age, where there is none). */
	readonly shape: Float64Array;
	readonly scale: Float64Array;
	/** Mean and variance of the steady process, the last look read. */
	readonly mean: Float64Array;
	readonly variance: Float64Array;
}

const REACH = 5; // standard uncertainties about the reading
const FLOOR = 1e-3; // of the largest wear considered
const FEWEST_NODES = 16;
const MOST_NODES = 96;
const LEAST_U = 1e-6; // of the allowance: no reading is better
const LEAST_HOURS = 1;
/** No machine runs longer, nothing is worn by more: numbers beyond are slips. Hours, and shares of the allowance. */
export const MOST_HOURS = 1e7;
const MOST_WORN = 1e6;
const OUT_OF_THE_QUESTION = 20; // logarithms below the likeliest rate

/** Splits the wear that a reading allows at a limit of the steady process, where what is asked has its step. */
export function lookNodes({ worn, u }: WearLook, exponent: number, steadiest: number, splitAt?: number): LookNodes {
	const spread = Math.max(u, LEAST_U);
	const high = Math.max(worn, 0) + REACH * spread;
	const reachesZero = worn - REACH * spread <= FLOOR * high;
	const low = reachesZero ? FLOOR * high : worn - REACH * spread;
	const edges = [Math.log(low) / exponent, Math.log(high) / exponent];
	const split = splitAt === undefined ? -Infinity : Math.log(splitAt);
	if (split > edges[0] + 1e-9 && split < edges[1] - 1e-9) edges.splice(1, 0, split);
	const y: number[] = [];
	const logY: number[] = [];
	const logWeight: number[] = [];
	for (let piece = 1; piece < edges.length; piece++) {
		const half = (edges[piece] - edges[piece - 1]) / 2;
		const wanted = Math.ceil(2.2 * half * Math.sqrt(steadiest));
		const { nodes, weights } = gaussLegendre(Math.min(MOST_NODES, Math.max(FEWEST_NODES, wanted)));
		for (let j = 0; j < nodes.length; j++) {
			const v = edges[piece - 1] + half * (1 + nodes[j]);
			const z = (Math.exp(exponent * v) - worn) / spread;
			y.push(Math.exp(v));
			logY.push(v);
			logWeight.push(Math.log(weights[j] * half) + v - (z * z) / 2 - Math.log(spread));
		}
	}
	return {
		y: Float64Array.from(y),
		logY: Float64Array.from(logY),
		logWeight: Float64Array.from(logWeight),
		logFloor: edges[0],
		logAtZero: reachesZero ? -((worn / spread) ** 2) / 2 - Math.log(spread) : -Infinity
	};
}

/**
 * Weights of the nodes under a gamma state, into `out` (one longer than the nodes: its last is the lump at no wear).
 * Returns the log evidence; the weights sum to 1.
 */
export function weigh(nodes: LookNodes, shape: number, scale: number, out: Float64Array): number {
	const { y, logY, logWeight, logFloor, logAtZero } = nodes;
	const n = y.length;
	const perScale = 1 / scale;
	const constant = -gammaLn(shape) - shape * Math.log(scale);
	// P(X ≤ floor) by the first term of its series, where the floor is far below the scale; else no more than 1.
	let largest = (out[n] = logAtZero + Math.min(shape * logFloor - Math.log(shape), -constant));
	for (let j = 0; j < n; j++) {
		out[j] = (shape - 1) * logY[j] - y[j] * perScale + logWeight[j];
		if (out[j] > largest) largest = out[j];
	}
	let total = 0;
	for (let j = 0; j <= n; j++) {
		out[j] = expBelow(out[j] - largest);
		total += out[j];
	}
	const scaled = 1 / total;
	for (let j = 0; j <= n; j++) out[j] *= scaled;
	return constant + largest + Math.log(total);
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

/**
 * Evidence of one part's looks for each rate, its wear being a gamma process of that rate under one path (scatter, bending),
 * and where it stands at the last look; one track for each possible age.
 *
 * The first look is integrated exactly over what its uncertainty leaves open. From look to look the state is carried on as a
 * gamma distribution of the same mean and variance (assumed-density filter): good to 0.02 in a chance of passing the limit,
 * to 0.05 where a part hardly wore over its last interval; both tested against direct integration. Without looks the state is that at its age.
 * Shape: hours ascending. Units: hours; wear in shares of the allowance. Errors: PreconditionError where they are not so.
 * Source: J. van Noortwijk, Reliab. Eng. Syst. Saf. 94 (2009) 2–21 (gamma process); P. Maybeck, Stochastic Models, Estimation
 * and Control 2 (1982), ch. 12 (assumed-density filter).
 */
export function followWear(
	history: WearHistory,
	{ shapePer1000h, exponent }: Pick<WearShape, 'shapePer1000h' | 'exponent'>,
	{ rates, size }: RateGrid
): readonly Track[] {
	requireHistory(history);
	requireThat(size === rates.length && rates.every((rate) => rate > 0), 'followWear', 'rates', size, 'rates above 0');
	const { before, looks } = history;
	const longest = Math.max(...before.map(({ hours }) => hours)) + (looks.at(-1)?.hours ?? 0);
	const steadiest = Math.max(1, (shapePer1000h * longest) / 1000);
	const nodes = looks.map((look) => lookNodes(look, exponent, steadiest));
	return before.map(({ hours, weight }) => {
		const first = Math.max(LEAST_HOURS, hours + (looks[0]?.hours ?? 0)) / 1000;
		const shape = new Float64Array(size).fill(shapePer1000h * first);
		const scale = rates.map((rate) => rate / shapePer1000h);
		const state = {
			logEvidence: new Float64Array(size),
			shape,
			scale,
			mean: scale.map((one) => one * shape[0]),
			variance: scale.map((one) => one * one * shape[0])
		};
		for (let k = 0; k < looks.length; k++) {
			if (k > 0)
				carryOn(state, rates, shapePer1000h, Math.max(LEAST_HOURS, looks[k].hours - looks[k - 1].hours) / 1000);
			read(nodes[k], state);
		}
		return { weight, ...state };
	});
}

type State = Omit<Track, 'weight'>;

// One look read at every rate that is not out of the question: from the likeliest outwards, since likelihood falls to both sides.
function read(nodes: LookNodes, state: State): void {
	const { logEvidence, mean } = state;
	const { y } = nodes;
	const weights = new Float64Array(y.length + 1);
	const seen = y[y.length >> 1];
	let start = 0;
	while (start < mean.length - 1 && mean[start] < seen) start++;
	let best = -Infinity;
	const readAt = (i: number): boolean => {
		if (logEvidence[i] === -Infinity) return true;
		logEvidence[i] += weigh(nodes, state.shape[i], state.scale[i], weights);
		momentsAt(y, weights, state, i);
		if (logEvidence[i] > best) best = logEvidence[i];
		return logEvidence[i] > best - OUT_OF_THE_QUESTION;
	};
	let low = start;
	while (low >= 0 && readAt(low)) low--;
	let high = start + 1;
	while (high < mean.length && readAt(high)) high++;
	logEvidence.fill(-Infinity, 0, Math.max(0, low));
	logEvidence.fill(-Infinity, high + 1);
}

function momentsAt(y: Float64Array, weights: Float64Array, { mean, variance }: State, i: number): void {
	let sum = 0;
	let square = 0;
	for (let j = 0; j < y.length; j++) {
		const here = weights[j] * y[j];
		sum += here;
		square += here * y[j];
	}
	mean[i] = sum;
	variance[i] = Math.max(0, square - sum * sum);
}

// The state some thousand hours further on, as the gamma distribution of its mean and variance.
function carryOn(
	{ logEvidence, shape, scale, mean, variance }: State,
	rates: Float64Array,
	shapePer1000h: number,
	further: number
): void {
	for (let i = 0; i < rates.length; i++) {
		if (logEvidence[i] === -Infinity) continue;
		mean[i] += rates[i] * further;
		variance[i] += (rates[i] ** 2 * further) / shapePer1000h;
		shape[i] = mean[i] ** 2 / variance[i];
		scale[i] = variance[i] / mean[i];
	}
}
