import { gammaLn, gammaUpper } from '../number';

const LOWEST = 0.05; // below it the power series is short
const POINTS_A_WIDTH = 10;
const COEFFICIENTS = 6;

/**
 * P(X > x) of the gamma distribution of one shape, for many x: a table in ln x, quintic between its points.
 * Accuracy: 1e-9 absolute. One and the same table serves every part of a kind at one interval.
 */
export class GammaTable {
	readonly #shape: number;
	readonly #from = Math.log(LOWEST);
	readonly #perStep: number;
	readonly #pieces: number;
	/** Six coefficients a piece, from the constant up. */
	readonly #coefficients: Float64Array;
	readonly #logNorm: number;

	constructor(shape: number) {
		this.#shape = shape;
		const step = Math.min(1, 1 / Math.sqrt(shape)) / POINTS_A_WIDTH;
		this.#perStep = 1 / step;
		const highest = Math.log(shape + 9 * Math.sqrt(shape) + 25);
		this.#pieces = Math.max(2, Math.ceil((highest - this.#from) / step));
		this.#coefficients = new Float64Array(COEFFICIENTS * this.#pieces);
		const logNorm = gammaLn(shape);
		let left = pointAt(this.#from, shape, logNorm, step);
		for (let i = 0; i < this.#pieces; i++) {
			const right = pointAt(this.#from + (i + 1) * step, shape, logNorm, step);
			this.#coefficients.set(quintic(left, right), COEFFICIENTS * i);
			left = right;
		}
		this.#logNorm = gammaLn(shape + 1);
	}

	upper(x: number): number {
		return x > 0 ? this.upperAtLog(Math.log(x)) : 1;
	}

	/** The same at ln x, for a caller that has it already. */
	upperAtLog(logX: number): number {
		if (logX < this.#from) return this.#series(Math.exp(logX));
		const at = (logX - this.#from) * this.#perStep;
		const i = Math.floor(at);
		if (i >= this.#pieces) return 0;
		const t = at - i;
		const c = this.#coefficients;
		const k = COEFFICIENTS * i;
		const tt = t * t; // in pairs: a chain of products waits for each
		return c[k] + t * c[k + 1] + tt * (c[k + 2] + t * c[k + 3] + tt * (c[k + 4] + t * c[k + 5]));
	}

	// P(X ≤ x) = x^a e^−x / Γ(a+1) · Σ xⁿ / ((a+1)…(a+n)), DLMF 8.7.1.
	#series(x: number): number {
		let term = 1;
		let sum = 1;
		for (let n = 1; n <= 6; n++) sum += term *= x / (this.#shape + n);
		return 1 - Math.exp(this.#shape * Math.log(x) - x - this.#logNorm) * sum;
	}
}

type Point = readonly [value: number, slope: number, bend: number];

// Value and the two derivatives in ln x, in steps of the table.
function pointAt(logX: number, shape: number, logNorm: number, step: number): Point {
	const x = Math.exp(logX);
	const density = Math.exp(shape * logX - x - logNorm);
	return [gammaUpper(x, shape), -density * step, -density * (shape - x) * step ** 2];
}

// Hermite's polynomial of degree 5 between two points.
function quintic([v, d, b]: Point, [w, e, c]: Point): readonly number[] {
	const rise = w - v;
	return [
		v,
		d,
		b / 2,
		10 * rise - 6 * d - 4 * e - 1.5 * b + 0.5 * c,
		-15 * rise + 8 * d + 7 * e + 1.5 * b - c,
		6 * rise - 3 * (d + e) - 0.5 * (b - c)
	];
}
