import { gammaLn } from '../number';
import { expBelow } from '../number/expBelow';
import type { LifeContext } from './context';
import { MOST_NODES, type WearWindow } from './wearWindow';

/** What one possible course of the wear (its scatter, its age) says at one inspection. */
export interface Course {
	/** Gamma shape of the steady process from its beginning to this inspection. */
	readonly shape: number;
	/** What the readings say of a position; undefined at the first inspection, whose window says it. */
	readonly read?: Readings;
}

/**
 * Density of the readings up to an inspection, given that the wear stands at a position there: `told` · exp(logScale). That inspection's own
 * belongs to it, because only where that one leaves the wear must the interpolation hold: after a jump that the process hardly
 * explains, the readings before say next to nothing there of what they say elsewhere.
 */
export interface Readings {
	readonly told: Densities;
	readonly logScale: number;
}

/** Densities at the first `count` positions, into `out`, whose lengths are multiples of four. */
type Densities = (positions: Float64Array, count: number, out: Float64Array) => void;

/** An inspection with what the inspections before it say of each position, for several courses at once: they share what depends on the positions alone. */
export interface BridgedInspection {
	readonly window: WearWindow;
	readonly courses: readonly Course[];
	/** One over the narrowest width of what the readings say, in positions. */
	readonly sharpness: number;
	readonly context: LifeContext;
}

/** Powers from which the end of an integrand is as good as smooth. */
export const SMOOTH = 5;
const COUNTS = 4; // numbers of nodes are whole multiples of it, so that positions share their rules
const NEAR = 0.1; // of a window, from its upper end: where the end of the bridge still bends the integrand

/**
 * What the looks up to `last` say of the position at the next one, whose window is given: given where a gamma process stands now,
 * where it stood before is that times a beta variable, whatever the rate.
 *
 * Shape: `mores` are the gamma shapes between the two inspections, one a course. Accuracy: 1e-3 of its largest value,
 * tested through `followWear`. Source: gamma bridge, M. Émery, M. Yor, Publ. RIMS 40 (2004) 669–688.
 */
export function bridge(last: BridgedInspection, mores: readonly number[], window: WearWindow): BridgedInspection {
	const half = (window.high - window.low) / 2;
	const before = Math.max(...last.courses.map(({ shape }, c) => sharpnessOf(last, shape, mores[c], window)));
	const between = new BetweenInspections(last, mores);
	let sharpness = Math.hypot(window.sharpness, before);
	for (let error = Infinity; ; sharpness *= FINER) {
		const count = window.nodesFor(half, sharpness);
		const read = readAt(window, between, count, last.context);
		const left = Math.max(...read.map((integral) => integral.error));
		// Where a reading leaves room for hardly any wear since a sharper one, it takes more nodes than estimated.
		if (count === MOST_NODES || left < TOLERANCE || left > error / HARDLY) {
			const courses = last.courses.map(({ shape }, c) => ({ shape: shape + mores[c], read: read[c] }));
			return { window, courses, sharpness, context: last.context };
		}
		error = left;
	}
}

/** How far off an interpolated density may be, as a share of its largest value. */
const TOLERANCE = 1e-3;
const FINER = 2;
const HARDLY = 8; // what twice the nodes must gain at least

// What the readings say, interpolated between so many of Chebyshev's nodes, and how far off that may be, as a share of the largest.
function readAt(
	window: WearWindow,
	between: BetweenInspections,
	count: number,
	context: LifeContext
): (Readings & { readonly error: number })[] {
	const half = (window.high - window.low) / 2;
	const middle = window.low + half;
	const positions = new Float64Array(count);
	for (let j = 0; j < count; j++) positions[j] = middle - half * Math.cos(((j + 0.5) * Math.PI) / count);
	const own = new Float64Array(count);
	window.logLikelihoods(positions, count, own);
	const before = Array.from(positions, (position) => between.at(position));
	return Array.from(before[0], (_, c) => {
		const logs = own.map((log, j) => log + before[j][c]);
		const largest = logs.reduce((most, value) => Math.max(most, value), -Infinity);
		const logScale = largest === -Infinity ? 0 : largest;
		const { told, last } = interpolation(
			context,
			middle,
			half,
			logs.map((log) => Math.exp(log - logScale))
		);
		return { told, logScale, error: last };
	});
}

// Of what the last inspection and those before it say, seen from the next window: from its middle, or where wear goes by jumps, which may
// have stood still, from where it is nearest.
function sharpnessOf(last: BridgedInspection, shape: number, more: number, { low, high }: WearWindow): number {
	const { root } = last.window;
	const stood = (last.window.low + last.window.high) / 2;
	const middle = (low + high) / 2;
	const seenFrom = more < JUMPS ? Math.max(low, Math.min(middle, stood)) : middle;
	const share = Math.min(1, (stood / seenFrom) ** root);
	const scatter = more < SMOOTH ? 0 : (0.45 * middle * Math.sqrt(more / (shape * (shape + more + 1)))) / root;
	return 1 / Math.hypot(1 / (share * last.sharpness), scatter);
}
const JUMPS = 2; // a gamma shape below which wear goes by jumps

// Chebyshev's interpolation on his nodes, summed by Clenshaw, and the size of its last coefficients, which tell how far it is off:
// L. N. Trefethen, Approximation Theory and Practice (2013), ch. 3, 8, 19. A density is never below nought.
function interpolation(
	context: LifeContext,
	middle: number,
	half: number,
	values: Float64Array
): { readonly told: Densities; readonly last: number } {
	const n = values.length;
	const cos = context.cosines(n);
	const coefficients = values.map((_, k) => {
		let sum = 0;
		for (let j = 0; j < n; j++) sum += values[j] * cos[k * n + j];
		return ((k % 2 ? -2 : 2) * sum) / n;
	});
	coefficients[0] /= 2;
	const last = coefficients.subarray(-3).reduce((most, value) => Math.max(most, Math.abs(value)), 0);
	// Four positions at once: each step waits for the one before it, so that one position alone leaves the processor idle.
	// Beyond the window, where the reading leaves next to nothing, a polynomial grows without bound: it stays as it is at the end.
	const told: Densities = (positions, count, out) => {
		for (let j = 0; j < count; j += 4) {
			const p = Math.min(1, (positions[j] - middle) / half);
			const q = Math.min(1, (positions[j + 1] - middle) / half);
			const r = Math.min(1, (positions[j + 2] - middle) / half);
			const s = Math.min(1, (positions[j + 3] - middle) / half);
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
			out[j] = Math.max(0, p * p1 - p2 + coefficients[0]);
			out[j + 1] = Math.max(0, q * q1 - q2 + coefficients[0]);
			out[j + 2] = Math.max(0, r * r1 - r2 + coefficients[0]);
			out[j + 3] = Math.max(0, s * s1 - s2 + coefficients[0]);
		}
	};
	return { told, last };
}

// ln(eᵃ + eᵇ), b finite.
const logOfSum = (a: number, b: number): number => Math.max(a, b) + Math.log1p(Math.exp(-Math.abs(a - b)));

type End = 'below' | 'above';

const scratch = {
	positions: new Float64Array(MOST_NODES),
	logShares: new Float64Array(MOST_NODES),
	logRests: new Float64Array(MOST_NODES),
	logSteps: new Float64Array(MOST_NODES),
	logs: new Float64Array(MOST_NODES),
	courseLogs: new Float64Array(MOST_NODES),
	told: new Float64Array(MOST_NODES)
};

// The mean of what the last inspection and those before it say, over where it may have stood: for each course.
class BetweenInspections {
	readonly #last: BridgedInspection;
	readonly #mores: readonly number[];
	readonly #logNorms: readonly number[];
	readonly #bendsBelow: boolean;
	readonly #bendsAbove: boolean;
	readonly #steadiest: { readonly shape: number; readonly more: number };

	constructor(last: BridgedInspection, mores: readonly number[]) {
		const shapes = last.courses.map(({ shape }) => shape);
		this.#last = last;
		this.#mores = mores;
		this.#logNorms = shapes.map((shape, c) => gammaLn(shape + mores[c]) - gammaLn(shape) - gammaLn(mores[c]));
		this.#bendsBelow = last.window.low === 0 && last.window.root * Math.min(...shapes) < SMOOTH;
		this.#bendsAbove = Math.min(...mores) < SMOOTH;
		this.#steadiest = { shape: Math.max(...shapes), more: Math.max(...mores) };
	}

	/** The logarithms of the means, −∞ where it cannot have stood there. */
	at(position: number): Float64Array {
		const { low, high, root } = this.#last.window;
		const sums = new Float64Array(this.#mores.length).fill(-Infinity);
		if (position <= low) return sums;
		const meets = position < high + NEAR * (high - low);
		const to = meets ? 1 : high / position;
		const bendsAbove = meets && this.#bendsAbove;
		if (this.#bendsBelow && bendsAbove) {
			this.#addPiece(sums, position, 0, to / 2, 'below');
			this.#addPiece(sums, position, to / 2, to, 'above');
		} else
			this.#addPiece(sums, position, low / position, to, this.#bendsBelow ? 'below' : bendsAbove ? 'above' : undefined);
		for (let c = 0; c < sums.length; c++) sums[c] += Math.log(root) + this.#logNorms[c];
		return sums;
	}

	// Over shares of the position; where a factor's end is singular there, it stands in the weights.
	#addPiece(sums: Float64Array, position: number, from: number, to: number, singular?: End): void {
		const { window, courses, sharpness, context } = this.#last;
		const { root } = window;
		const long = to - from;
		const middle = from + long / 2;
		const { shape, more } = this.#steadiest;
		const left = Math.max(1 - middle ** root, root * long * 0.5);
		const bend = (root * Math.sqrt(shape + more * (middle ** root / left) ** 2)) / middle;
		const wanted = window.nodesFor(long / 2, Math.hypot(position * sharpness, bend));
		const count = COUNTS * Math.ceil(wanted / COUNTS);
		const { nodes, weights } = context.rule(count);
		const { positions, logShares, logRests, logSteps, logs, courseLogs, told } = scratch;
		for (let j = 0; j < count; j++) {
			const way = (long * (1 + nodes[j])) / 2;
			const share = singular === 'above' ? to - way : from + way;
			let steps = 1;
			for (let k = 1; k < root; k++) steps = 1 + steps * share;
			logShares[j] = Math.log(share);
			logRests[j] = Math.log(1 - share);
			logSteps[j] = root === 1 ? 0 : Math.log(steps);
			positions[j] = share * position;
		}
		told.fill(1, 0, count);
		if (courses[0].read) logs.fill(0, 0, count);
		else window.logLikelihoods(positions, count, logs);
		for (const [c, { shape, read }] of courses.entries()) {
			const low = root * shape - 1;
			const high = this.#mores[c] - 1;
			const power = (singular === 'below' ? low : high) + 1;
			const rule = singular && power < SMOOTH ? context.singularRule(count, power) : undefined;
			const below = rule && singular === 'below' ? 0 : low;
			const above = rule && singular === 'above' ? 0 : high;
			const factors = rule ?? weights;
			read?.told(positions, count, told);
			let largest = -Infinity;
			for (let j = 0; j < count; j++) {
				const log = logs[j] + high * logSteps[j] + above * logRests[j] + below * logShares[j];
				courseLogs[j] = log;
				if (log > largest) largest = log;
			}
			let sum = 0;
			for (let j = 0; j < count; j++) sum += factors[j] * told[j] * expBelow(courseLogs[j] - largest);
			if (sum === 0) {
				// What was read lies where the rest of the integrand is too small for a number.
				largest = -Infinity;
				for (let j = 0; j < count; j++) largest = Math.max(largest, (courseLogs[j] += Math.log(told[j])));
				for (let j = 0; j < count; j++) sum += factors[j] * expBelow(courseLogs[j] - largest);
			}
			if (!(sum > 0)) continue;
			const piece = Math.log(sum) + largest + (rule ? power * Math.log(long) : Math.log(long / 2));
			sums[c] = logOfSum(sums[c], piece + (read?.logScale ?? 0));
		}
	}
}
