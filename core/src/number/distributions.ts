/**
 * The normal distribution and Student's t, from the @stdlib library; checked in distributions.test.ts against 30-digit
 * arithmetic of an independent package to a relative error of 1e-10, tails included.
 */
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
