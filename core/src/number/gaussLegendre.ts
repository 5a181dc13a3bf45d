import { requireThat } from './require';

interface Rule {
	/** Nodes in (−1, 1), ascending. */
	readonly nodes: readonly number[];
	/** Weights, together 2. */
	readonly weights: readonly number[];
}

const MOST_NODES = 256;

/**
 * Nodes and weights of Gauss–Legendre quadrature with n points: exact for polynomials of degree 2n − 1.
 * Errors: PreconditionError unless n is whole, from 1 to 256. Accuracy: 1e-15.
 * Source: P. Davis, P. Rabinowitz, Methods of Numerical Integration (1984), 2.7 (Newton on the Legendre polynomial).
 */
export function gaussLegendre(n: number): Rule {
	requireThat(Number.isInteger(n) && n >= 1 && n <= MOST_NODES, 'gaussLegendre', 'n', n, 'a whole number, 1 to 256');
	const pairs = Array.from({ length: n }, (_, i) => legendreRoot(n, i));
	return { nodes: pairs.map(({ x }) => x), weights: pairs.map(({ weight }) => weight) };
}

function legendreRoot(n: number, i: number): { x: number; weight: number } {
	let x = -Math.cos((Math.PI * (i + 0.75)) / (n + 0.5));
	for (let step = 0; ; step++) {
		let [value, before] = [1, 0];
		for (let k = 1; k <= n; k++) [value, before] = [((2 * k - 1) * x * value - (k - 1) * before) / k, value];
		const slope = (n * (x * value - before)) / (x * x - 1);
		if (Math.abs(value) < 1e-15 || step === 8) return { x, weight: 2 / ((1 - x * x) * slope * slope) };
		x -= value / slope;
	}
}
