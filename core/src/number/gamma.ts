/** The gamma distribution, from the @stdlib library; checked in distributions.test.ts as its neighbours are. */
import gammainc from '@stdlib/math-base-special-gammainc';
import gammaln from '@stdlib/math-base-special-gammaln';
import normalCdf_ from '@stdlib/stats-base-dists-normal-cdf';
import { requireThat } from './require';

/** ln Γ(x) for x > 0. */
export function gammaLn(x: number): number {
	requireThat(x > 0 && Number.isFinite(x), 'gammaLn', 'x', x, 'above 0');
	return gammaln(x);
}

/**
 * P(X > x) of the gamma distribution with this shape and scale 1, for x ≥ 0: the regularized upper incomplete gamma function.
 * Accuracy: 1e-10 relative for shapes up to 1e7; from there on the Wilson–Hilferty normal form, 1e-6.
 */
export function gammaUpper(x: number, shape: number): number {
	requireThat(x >= 0, 'gammaUpper', 'x', x, 'at least 0');
	requireThat(shape > 0 && Number.isFinite(shape), 'gammaUpper', 'shape', shape, 'above 0');
	if (x === Infinity) return 0;
	return shape > LARGE_SHAPE ? gammaTails(x, shape).upper : gammainc(x, shape, true, true);
}
const LARGE_SHAPE = 400; // above it the library errs by up to 3 %
const LARGEST_SHAPE = 1e7;
const MOST_TERMS = 200_000;

/** Both tails at a large shape: the power series below it, Legendre's continued fraction above (DLMF 8.7.1, 8.9.2). */
export function gammaTails(x: number, shape: number): { lower: number; upper: number } {
	if (x <= 0) return { lower: 0, upper: 1 };
	if (shape > LARGEST_SHAPE) {
		const third = 1 / (9 * shape);
		const z = (Math.cbrt(x / shape) - 1 + third) / Math.sqrt(third);
		return { lower: normalCdf_(z, 0, 1), upper: normalCdf_(-z, 0, 1) };
	}
	const off = (x - shape) / shape;
	const prefix = Math.exp(-shape * (off - Math.log1p(off)) - stirling(shape)) * shape;
	if (x <= shape) {
		let term = 1 / shape;
		let sum = term;
		for (let n = 1; term > 1e-17 * sum && n < MOST_TERMS; n++) sum += term *= x / (shape + n);
		return { lower: prefix * sum, upper: 1 - prefix * sum };
	}
	let b = x + 1 - shape;
	let c = 1e300;
	let d = 1 / b;
	let fraction = d;
	for (let n = 1, step = 2; Math.abs(step - 1) > 1e-16 && n < MOST_TERMS; n++) {
		const a = -n * (n - shape);
		b += 2;
		d = 1 / (a * d + b);
		c = b + a / c;
		fraction *= step = d * c;
	}
	return { lower: 1 - prefix * fraction, upper: prefix * fraction };
}

/** ln(Γ(a)·eᵃ/aᵃ⁻¹), DLMF 5.11.1. */
export const stirling = (a: number): number =>
	(Math.log(2 * Math.PI) + Math.log(a)) / 2 + 1 / (12 * a) - 1 / (360 * a ** 3);
