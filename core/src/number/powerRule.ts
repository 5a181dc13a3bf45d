import { gaussLegendre } from './gaussLegendre';
import { requireThat } from './require';

/**
 * Legendre polynomials of degree m = 0 to n − 1 at the n nodes of their rule, each times (2m + 1) / 2 × weight: what `powerRule` needs
 * of its number of nodes. Errors: as `gaussLegendre`. Source: as `powerRule`.
 */
export function weightedPolynomials(n: number): readonly Float64Array[] {
	const { nodes, weights } = gaussLegendre(n);
	const rows = Array.from({ length: n }, () => new Float64Array(n));
	for (const [j, x] of nodes.entries()) {
		let [value, before] = [1, 0];
		for (let m = 0; m < n; m++) {
			rows[m][j] = ((2 * m + 1) / 2) * weights[j] * value;
			[value, before] = [((2 * m + 1) * x * value - m * before) / (m + 1), value];
		}
	}
	return rows;
}

/**
 * Weights for ∫₀¹ τ^(α−1) f(τ) dτ on the n nodes of Gauss–Legendre, moved to (0, 1): exact where f is a polynomial below degree
 * n, whatever the power, so that its singular end costs nothing. Weights of small powers may be negative.
 * Errors: PreconditionError unless α is above 0 and finite, and n is whole, from 1 to 256. Accuracy: 1e-10.
 * Source: product integration, P. Davis, P. Rabinowitz, Methods of Numerical Integration (1984), 2.5.6; the moments by
 * Rodrigues' formula.
 */
export function powerRule(n: number, alpha: number, polynomials = weightedPolynomials(n)): Float64Array {
	requireThat(alpha > 0 && Number.isFinite(alpha), 'powerRule', 'alpha', alpha, 'above 0');
	const weights = new Float64Array(n);
	let moment = 1 / alpha;
	for (let m = 0; m < n && moment !== 0; m++) {
		if (m > 0) moment *= (alpha - m) / (alpha + m);
		const row = polynomials[m];
		for (let j = 0; j < n; j++) weights[j] += moment * row[j];
	}
	return weights;
}
