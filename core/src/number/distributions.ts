/**
 * The normal distribution and Student's t, from the @stdlib library; checked in distributions.test.ts against 30-digit
 * arithmetic of an independent package to a relative error of 1e-10, tails included.
 */
import erfcinv from '@stdlib/math-base-special-erfcinv';
import normalCdf_ from '@stdlib/stats-base-dists-normal-cdf';
import tCdf_ from '@stdlib/stats-base-dists-t-cdf';
import { gammaLn } from './gamma';
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
	if (dof <= NEARLY_NORMAL)
		return finiteAnswer('studentQuantile', p < 0.5 ? lowerStudent(p, dof) : 0 - lowerStudent(1 - p, dof));
	// Abramowitz & Stegun 26.7.5: two terms past the normal quantile, where the library loses itself (0 from 1e17 on).
	const z = normalQuantile(p);
	const first = (z ** 3 + z) / (4 * dof);
	return z + first + (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * dof ** 2);
}
const NEARLY_NORMAL = 1e5; // degrees of freedom
const MOST_STEPS = 60;
const LONGEST_STEP = 30;
const NEAR_MEDIAN = 1e-4;

// The quantile of a lower tail by Newton's steps on its logarithm, in asinh t: straight where the tail is, and about nought. The
// library's own inverse is exact as well, and ten times as large.
function lowerStudent(p: number, dof: number): number {
	const logNorm = gammaLn((dof + 1) / 2) - gammaLn(dof / 2) - Math.log(dof * Math.PI) / 2;
	if (0.5 - p < NEAR_MEDIAN) {
		// W. Shaw, J. Comput. Finance 9 (2006) 37–73: the power series about the median.
		const x = (p - 0.5) / Math.exp(logNorm);
		return x + ((dof + 1) / (6 * dof)) * x ** 3 + (((dof + 1) * (7 * dof + 1)) / (120 * dof ** 2)) * x ** 5;
	}
	let u = Math.asinh(normalQuantile(p));
	let nearer = 0; // a place on this side of the quantile
	for (let step = 0; step < MOST_STEPS; step++) {
		const t = Math.sinh(u);
		const tail = tCdf_(t, dof);
		if (!(tail > 0)) {
			u = (u + nearer) / 2; // gone too far: the tail is below the smallest number
			continue;
		}
		const logDensity = logNorm - ((dof + 1) / 2) * Math.log1p((t / dof) * t);
		const slope = Math.exp(logDensity - Math.log(tail)) * Math.cosh(u);
		const move = (Math.log(tail) - Math.log(p)) / slope;
		if (tail > p) nearer = u;
		u -= Math.max(-LONGEST_STEP, Math.min(LONGEST_STEP, move));
		if (Math.abs(move) <= 1e-14 * (1 + Math.abs(u))) return Math.sinh(u);
	}
	return NaN; // beyond the range of numbers
}
