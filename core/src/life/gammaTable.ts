import { gammaLn, gammaUpper } from '../number';

const LOWEST = 0.05; // below it the power series is short
const POINTS_A_WIDTH = 12;

/**
 * P(X > x) of the gamma distribution of one shape, for many x: a table in ln x with cubic interpolation.
 * Accuracy: 2e-6 absolute. One and the same table serves every part of a kind at one interval.
 */
export class GammaTable {
	readonly #shape: number;
	readonly #from = Math.log(LOWEST);
	readonly #step: number;
	readonly #values: Float64Array;
	readonly #logNorm: number;

	constructor(shape: number) {
		this.#shape = shape;
		const width = Math.min(1, 1 / Math.sqrt(shape));
		this.#step = width / POINTS_A_WIDTH;
		const highest = Math.log(shape + 9 * Math.sqrt(shape) + 25);
		const count = Math.max(4, Math.ceil((highest - this.#from) / this.#step) + 3);
		this.#values = Float64Array.from({ length: count }, (_, i) =>
			gammaUpper(Math.exp(this.#from + (i - 1) * this.#step), shape)
		);
		this.#logNorm = gammaLn(shape + 1);
	}

	upper(x: number): number {
		if (x <= 0) return 1;
		if (x < LOWEST) return this.#series(x);
		const at = (Math.log(x) - this.#from) / this.#step + 1;
		const i = Math.floor(at);
		if (i + 2 >= this.#values.length) return 0;
		const t = at - i;
		const [a, b, c, d] = [this.#values[i - 1], this.#values[i], this.#values[i + 1], this.#values[i + 2]];
		return (
			(-a * t * (t - 1) * (t - 2)) / 6 +
			(b * (t + 1) * (t - 1) * (t - 2)) / 2 -
			(c * (t + 1) * t * (t - 2)) / 2 +
			(d * (t + 1) * t * (t - 1)) / 6
		);
	}

	// P(X ≤ x) = x^a e^−x / Γ(a+1) · Σ xⁿ / ((a+1)…(a+n)), DLMF 8.7.1.
	#series(x: number): number {
		let term = 1;
		let sum = 1;
		for (let n = 1; n <= 6; n++) sum += term *= x / (this.#shape + n);
		return 1 - Math.exp(this.#shape * Math.log(x) - x - this.#logNorm) * sum;
	}
}
