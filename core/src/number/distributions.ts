/**
 * Distribution functions, from the @stdlib library; checked in distributions.test.ts against 30-digit
 * arithmetic of an independent package to a relative error of 1e-10, tails included.
 */
import betainc from '@stdlib/math-base-special-betainc';
import betaincinv from '@stdlib/math-base-special-kernel-betaincinv';
import gammainc from '@stdlib/math-base-special-gammainc';
import gammaln from '@stdlib/math-base-special-gammaln';
import chiSquareQuantile_ from '@stdlib/stats-base-dists-chisquare-quantile';
import erfcinv from '@stdlib/math-base-special-erfcinv';
import normalCdf_ from '@stdlib/stats-base-dists-normal-cdf';
import tCdf_ from '@stdlib/stats-base-dists-t-cdf';
import tQuantile_ from '@stdlib/stats-base-dists-t-quantile';
import { finiteAnswer, requireThat } from './require';

/** P(Z ≤ x) of the standard normal distribution. Any x, infinite included. */
export function normalCdf(x: number): number {
	requireThat(!Number.isNaN(x), 'normalCdf', 'x', x, 'a number');
	return normalCdf_(x, 0, 1);
}

/**
 * z with P(Z ≤ z) = p, for p in (0, 1).
 * By the inverse complementary error function: the library's own normal quantile loses the lower tail (−∞ at 1e-20).
 */
export function normalQuantile(p: number): number {
	requireThat(p > 0 && p < 1, 'normalQuantile', 'p', p, 'between 0 and 1');
	return -Math.SQRT2 * erfcinv(2 * p);
}

/** P(T ≤ x) of Student's t with `dof` degrees of freedom (> 0; Infinity gives the normal distribution). */
export function studentCdf(x: number, dof: number): number {
	requireThat(!Number.isNaN(x), 'studentCdf', 'x', x, 'a number');
	requireThat(dof > 0, 'studentCdf', 'dof', dof, 'above 0');
	return dof === Infinity ? normalCdf_(x, 0, 1) : tCdf_(x, dof);
}

/** t with P(T ≤ t) = p of Student's t, for p in (0, 1) and dof > 0 (Infinity gives the normal distribution). */
export function studentQuantile(p: number, dof: number): number {
	requireThat(p > 0 && p < 1, 'studentQuantile', 'p', p, 'between 0 and 1');
	requireThat(dof > 0, 'studentQuantile', 'dof', dof, 'above 0');
	if (dof <= NEARLY_NORMAL) return finiteAnswer('studentQuantile', tQuantile_(p, dof));
	// Abramowitz & Stegun 26.7.5: two terms past the normal quantile, where the library loses itself (0 from 1e17 on).
	const z = normalQuantile(p);
	const first = (z ** 3 + z) / (4 * dof);
	return z + first + (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * dof ** 2);
}
const NEARLY_NORMAL = 1e5; // degrees of freedom

/** x with P(X ≤ x) = p of chi-square with `dof` degrees of freedom, for p in [0, 1) and dof > 0. */
export function chiSquareQuantile(p: number, dof: number): number {
	requireThat(p >= 0 && p < 1, 'chiSquareQuantile', 'p', p, 'from 0 to below 1');
	requireThat(dof > 0 && Number.isFinite(dof), 'chiSquareQuantile', 'dof', dof, 'above 0');
	if (p === 0) return 0;
	return finiteAnswer(
		'chiSquareQuantile',
		dof <= LARGE_DOF ? chiSquareQuantile_(p, dof) : largeChiSquareQuantile(p, dof)
	);
}
const LARGE_DOF = 1000; // above it the library's quantile loses its digits
const MOST_STEPS = 30;

// Newton's steps on the nearer tail, from Wilson and Hilferty's cube.
function largeChiSquareQuantile(p: number, dof: number): number {
	const shape = dof / 2;
	const third = 1 / (9 * shape);
	let x = shape * (1 - third + normalQuantile(p) * Math.sqrt(third)) ** 3;
	for (let step = 0; step < MOST_STEPS; step++) {
		const lower = p < 0.5;
		const tails = gammaTails(x, shape);
		const off = lower ? tails.lower - p : 1 - p - tails.upper;
		// ln of the density about its own mode, so that no large numbers cancel.
		const density = Math.exp((shape - 1) * Math.log1p((x - shape) / shape) - (x - shape) - stirling(shape));
		const move = off / density;
		x -= move;
		if (Math.abs(move) <= 1e-14 * x) break;
	}
	return 2 * x;
}
// ln(Γ(a)·eᵃ/aᵃ⁻¹), DLMF 5.11.1.
const stirling = (a: number): number => (Math.log(2 * Math.PI) + Math.log(a)) / 2 + 1 / (12 * a) - 1 / (360 * a ** 3);

/** P(X > x) of chi-square with `dof` degrees of freedom, for x ≥ 0 and dof > 0. */
export function chiSquareUpper(x: number, dof: number): number {
	requireThat(x >= 0 && !Number.isNaN(x), 'chiSquareUpper', 'x', x, 'at least 0');
	requireThat(dof > 0 && Number.isFinite(dof), 'chiSquareUpper', 'dof', dof, 'above 0');
	return gammaUpper(x / 2, dof / 2);
}

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

// Both tails at a large shape: the power series below it, Legendre's continued fraction above (DLMF 8.7.1, 8.9.2).
function gammaTails(x: number, shape: number): { lower: number; upper: number } {
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

/** P(X ≤ x) of the beta distribution, for x in [0, 1] and a, b > 0. Accuracy: 1e-10 relative for a and b up to 1e5. */
export function betaCdf(x: number, a: number, b: number): number {
	requireThat(x >= 0 && x <= 1, 'betaCdf', 'x', x, 'from 0 to 1');
	requireBeta('betaCdf', a, b);
	return betainc(x, a, b);
}

/** x with P(X ≤ x) = p of the beta distribution, for p in [0, 1] and a, b > 0. */
export function betaQuantile(p: number, a: number, b: number): number {
	requireThat(p >= 0 && p <= 1, 'betaQuantile', 'p', p, 'from 0 to 1');
	requireBeta('betaQuantile', a, b);
	if (p === 0 || p === 1) return p;
	return finiteAnswer('betaQuantile', betaincinv(a, b, p, 1 - p)[0]);
}

const MOST_BETA = 1e5;
function requireBeta(fn: string, a: number, b: number): void {
	requireThat(a > 0 && a <= MOST_BETA, fn, 'a', a, 'above 0, at most 1e5');
	requireThat(b > 0 && b <= MOST_BETA, fn, 'b', b, 'above 0, at most 1e5');
}
