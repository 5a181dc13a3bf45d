import { gammaLn, gaussLegendre, powerRule } from '../number';
import { expBelow } from '../number/expBelow';
import { MOST_NODES, type WearWindow } from './wearWindow';

/** What one possible course of the wear (its scatter, its age) says at one look. */
export interface Course {
	/** Gamma shape of the steady process from its beginning to this look. */
	readonly shape: number;
	/** What the readings before say of a place; undefined at the first look. */
	readonly before?: Before;
}

/**
 * Density of the readings before, given that the wear stands at a place: `told` · exp(logScale + slope · place). Kept as a logarithm,
 * because after a jump that the process hardly explains it is far below what a number can hold.
 */
export interface Before {
	readonly told: Densities;
	readonly logScale: number;
	readonly slope: number;
}

/** Densities at the first `count` places, into `out`, whose lengths are multiples of four. */
type Densities = (places: Float64Array, count: number, out: Float64Array) => void;

/** A look with what the looks before it say of each place, for several courses at once: they share what depends on the places alone. */
export interface BridgedLook {
	readonly window: WearWindow;
	readonly courses: readonly Course[];
	/** One over the narrowest width of what came before, in places; 0 at the first look. */
	readonly sharpness: number;
}

/** Powers from which the end of an integrand is as good as smooth. */
export const SMOOTH = 12;
const COUNTS = 4; // numbers of nodes are whole multiples of it, so that places share their rules
const NEAR = 0.1; // of a window, from its upper end: where the end of the bridge still bends the integrand

/**
 * What the looks up to `last` say of the place at the next one, whose window is given: given where a gamma process stands now,
 * where it stood before is that times a beta variable, whatever the rate.
 *
 * Shape: `mores` are the gamma shapes between the two looks, one a course. Accuracy: 1e-8 of its largest value, tested through
 * `followWear`. Source: gamma bridge, M. Émery, M. Yor, Publ. RIMS 40 (2004) 669–688.
 */
export function bridge(last: BridgedLook, mores: readonly number[], window: WearWindow): BridgedLook {
	const half = (window.high - window.low) / 2;
	const middle = window.low + half;
	const sharpness = Math.max(...last.courses.map(({ shape }, c) => sharpnessOf(last, shape, mores[c], middle)));
	const count = window.nodesFor(half, sharpness);
	const between = new BetweenLooks(last, mores);
	const places = Float64Array.from(
		{ length: count },
		(_, j) => middle - half * Math.cos(((j + 0.5) * Math.PI) / count)
	);
	const logs = Array.from(places, (place) => between.at(place));
	const courses = last.courses.map(({ shape }, c) => ({
		shape: shape + mores[c],
		before: scaled(
			window,
			places,
			Float64Array.from(logs, (one) => one[c])
		)
	}));
	return { window, courses, sharpness };
}

const STEEP = 12; // logarithms across a window, from which its slope is taken out before it is interpolated

// The densities at Chebyshev's nodes, interpolated without what a number cannot hold: their scale, and where they are steep their slope.
function scaled(window: WearWindow, places: Float64Array, logs: Float64Array): Before {
	const half = (window.high - window.low) / 2;
	const slope = slopeAtPeak(window, places, logs);
	const level = logs.map((log, j) => log - slope * places[j]);
	const largest = level.reduce((most, one) => Math.max(most, one), -Infinity);
	const logScale = largest === -Infinity ? 0 : largest;
	const values = level.map((log) => Math.exp(log - logScale));
	return { told: interpolation(window.low + half, half, values), logScale, slope };
}

// The slope of the logarithms beside the likeliest place, the flatter of both sides; 0 if they are not steep.
function slopeAtPeak({ low, high, logLikelihood }: WearWindow, places: Float64Array, logs: Float64Array): number {
	let peak = 0;
	let most = -Infinity;
	for (let j = 0; j < places.length; j++) {
		const log = logs[j] + logLikelihood(places[j]);
		if (log > most) [peak, most] = [j, log];
	}
	const sides = [peak - 1, peak + 1]
		.filter((j) => j >= 0 && j < places.length)
		.map((j) => (logs[j] - logs[peak]) / (places[j] - places[peak]));
	if (!sides.every(Number.isFinite) || Math.min(...sides) * Math.max(...sides) <= 0) return 0;
	const flatter = sides.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a));
	return Math.abs(flatter) * (high - low) > STEEP ? flatter : 0;
}

// Of what the last look and those before it say, seen from the middle of the next window.
function sharpnessOf({ window, sharpness }: BridgedLook, shape: number, more: number, middle: number): number {
	const { root, low, high } = window;
	const share = Math.min(1, ((low + high) / 2 / middle) ** root);
	const scatter = more < SMOOTH ? 0 : (0.45 * middle * Math.sqrt(more / (shape * (shape + more + 1)))) / root;
	return 1 / Math.hypot(1 / (share * Math.hypot(window.sharpness, sharpness)), scatter);
}

const rulesKept = new Map<number, { readonly nodes: Float64Array; readonly weights: Float64Array }>();
// Gauss and Legendre's rule in the same kind of list as the others: the innermost loop then knows one kind.
function plainRule(n: number) {
	let rule = rulesKept.get(n);
	if (!rule) {
		const { nodes, weights } = gaussLegendre(n);
		rulesKept.set(n, (rule = { nodes: Float64Array.from(nodes), weights: Float64Array.from(weights) }));
	}
	return rule;
}

const singularKept = new Map<string, Float64Array>();
const MOST_SINGULAR = 5000;
// By number of nodes and power: parts of a kind that were looked at together ask for the same ones.
function singularRule(n: number, power: number): Float64Array {
	const key = `${n}/${power}`;
	let rule = singularKept.get(key);
	if (!rule) {
		if (singularKept.size >= MOST_SINGULAR) singularKept.clear();
		singularKept.set(key, (rule = powerRule(n, power)));
	}
	return rule;
}

const cosinesKept = new Map<number, Float64Array>();
// cos(k (j + ½) π / n), row by row: made once for each number of nodes.
function cosines(n: number): Float64Array {
	const known = cosinesKept.get(n);
	if (known) return known;
	const made = Float64Array.from({ length: n * n }, (_, i) =>
		Math.cos((Math.floor(i / n) * ((i % n) + 0.5) * Math.PI) / n)
	);
	cosinesKept.set(n, made);
	return made;
}

// Chebyshev's interpolation on his nodes, summed by Clenshaw: L. N. Trefethen, Approximation Theory and Practice (2013), ch. 3, 19.
function interpolation(middle: number, half: number, values: Float64Array): Densities {
	const n = values.length;
	const cos = cosines(n);
	const coefficients = values.map((_, k) => {
		let sum = 0;
		for (let j = 0; j < n; j++) sum += values[j] * cos[k * n + j];
		return ((k % 2 ? -2 : 2) * sum) / n;
	});
	coefficients[0] /= 2;
	// Four places at once: each step waits for the one before it, so that one place alone leaves the processor idle.
	return (places, count, out) => {
		for (let j = 0; j < count; j += 4) {
			const p = (places[j] - middle) / half;
			const q = (places[j + 1] - middle) / half;
			const r = (places[j + 2] - middle) / half;
			const s = (places[j + 3] - middle) / half;
			let p1 = 0;
			let p2 = 0;
			let q1 = 0;
			let q2 = 0;
			let r1 = 0;
			let r2 = 0;
			let s1 = 0;
			let s2 = 0;
			for (let k = n - 1; k > 0; k--) {
				const c = coefficients[k];
				const pNext = 2 * p * p1 - p2 + c;
				const qNext = 2 * q * q1 - q2 + c;
				const rNext = 2 * r * r1 - r2 + c;
				const sNext = 2 * s * s1 - s2 + c;
				p2 = p1;
				p1 = pNext;
				q2 = q1;
				q1 = qNext;
				r2 = r1;
				r1 = rNext;
				s2 = s1;
				s1 = sNext;
			}
			out[j] = p * p1 - p2 + coefficients[0];
			out[j + 1] = q * q1 - q2 + coefficients[0];
			out[j + 2] = r * r1 - r2 + coefficients[0];
			out[j + 3] = s * s1 - s2 + coefficients[0];
		}
	};
}

// ln(eᵃ + eᵇ), b finite.
const logOfSum = (a: number, b: number): number => Math.max(a, b) + Math.log1p(Math.exp(-Math.abs(a - b)));

type End = 'below' | 'above';

const scratch = {
	places: new Float64Array(MOST_NODES),
	logShares: new Float64Array(MOST_NODES),
	logRests: new Float64Array(MOST_NODES),
	logSteps: new Float64Array(MOST_NODES),
	logs: new Float64Array(MOST_NODES),
	courseLogs: new Float64Array(MOST_NODES),
	told: new Float64Array(MOST_NODES)
};

// The mean of what the last look and those before it say, over where it may have stood: for each course.
class BetweenLooks {
	readonly #last: BridgedLook;
	readonly #mores: readonly number[];
	readonly #logNorms: readonly number[];
	readonly #bendsBelow: boolean;
	readonly #bendsAbove: boolean;
	readonly #steadiest: { readonly shape: number; readonly more: number };

	constructor(last: BridgedLook, mores: readonly number[]) {
		const shapes = last.courses.map(({ shape }) => shape);
		this.#last = last;
		this.#mores = mores;
		this.#logNorms = shapes.map((shape, c) => gammaLn(shape + mores[c]) - gammaLn(shape) - gammaLn(mores[c]));
		this.#bendsBelow = last.window.low === 0 && last.window.root * Math.min(...shapes) < SMOOTH;
		this.#bendsAbove = Math.min(...mores) < SMOOTH;
		this.#steadiest = { shape: Math.max(...shapes), more: Math.max(...mores) };
	}

	/** The logarithms of the means, −∞ where it cannot have stood there. */
	at(place: number): Float64Array {
		const { low, high, root } = this.#last.window;
		const sums = new Float64Array(this.#mores.length).fill(-Infinity);
		if (place <= low) return sums;
		const meets = place < high + NEAR * (high - low);
		const to = meets ? 1 : high / place;
		const bendsAbove = meets && this.#bendsAbove;
		if (this.#bendsBelow && bendsAbove) {
			this.#addPiece(sums, place, 0, to / 2, 'below');
			this.#addPiece(sums, place, to / 2, to, 'above');
		} else this.#addPiece(sums, place, low / place, to, this.#bendsBelow ? 'below' : bendsAbove ? 'above' : undefined);
		for (let c = 0; c < sums.length; c++) sums[c] += Math.log(root) + this.#logNorms[c];
		return sums;
	}

	// Over shares of the place; where a factor's end is singular there, it stands in the weights.
	#addPiece(sums: Float64Array, place: number, from: number, to: number, singular?: End): void {
		const { window, courses, sharpness } = this.#last;
		const { root, logLikelihood } = window;
		const long = to - from;
		const middle = from + long / 2;
		const { shape, more } = this.#steadiest;
		const left = Math.max(1 - middle ** root, root * long * 0.5);
		const bend = (root * Math.sqrt(shape + more * (middle ** root / left) ** 2)) / middle;
		const wanted = window.nodesFor(long / 2, Math.hypot(place * Math.hypot(window.sharpness, sharpness), bend));
		const count = COUNTS * Math.ceil(wanted / COUNTS);
		const { nodes, weights } = plainRule(count);
		const { places, logShares, logRests, logSteps, logs, courseLogs, told } = scratch;
		for (let j = 0; j < count; j++) {
			const way = (long * (1 + nodes[j])) / 2;
			const share = singular === 'above' ? to - way : from + way;
			let steps = 1;
			for (let k = 1; k < root; k++) steps = 1 + steps * share;
			logShares[j] = Math.log(share);
			logRests[j] = Math.log(1 - share);
			logSteps[j] = root === 1 ? 0 : Math.log(steps);
			places[j] = share * place;
			logs[j] = logLikelihood(places[j]);
		}
		told.fill(1, 0, count);
		for (const [c, { shape, before }] of courses.entries()) {
			const low = root * shape - 1;
			const high = this.#mores[c] - 1;
			const power = (singular === 'below' ? low : high) + 1;
			const rule = singular && power < SMOOTH ? singularRule(count, power) : undefined;
			const below = rule && singular === 'below' ? 0 : low;
			const above = rule && singular === 'above' ? 0 : high;
			const factors = rule ?? weights;
			before?.told(places, count, told);
			const slope = before?.slope ?? 0;
			let largest = -Infinity;
			for (let j = 0; j < count; j++) {
				const log = logs[j] + high * logSteps[j] + above * logRests[j] + below * logShares[j] + slope * places[j];
				courseLogs[j] = log;
				if (log > largest) largest = log;
			}
			let sum = 0;
			for (let j = 0; j < count; j++) sum += factors[j] * told[j] * expBelow(courseLogs[j] - largest);
			if (!(sum > 0)) continue;
			const piece = Math.log(sum) + largest + (rule ? power * Math.log(long) : Math.log(long / 2));
			sums[c] = logOfSum(sums[c], piece + (before?.logScale ?? 0));
		}
	}
}
