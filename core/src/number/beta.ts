/** The beta distribution, from the @stdlib library; checked in distributions.test.ts as its neighbours are. */
import betainc from '@stdlib/math-base-special-betainc';
import betaincinv from '@stdlib/math-base-special-kernel-betaincinv';
import { finiteAnswer, requireThat } from './require';

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
