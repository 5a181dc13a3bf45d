import { requireThat } from './require';

const STEP = 1 / 14; // fine enough for a bell whose spread is a sixteenth of the interval
const REACH = 3.2; // beyond it the weights are below 1e-16

// Nodes and weights on (-1, 1), with each node's distance to the nearer end so that nothing is lost there.
const nodes = Array.from({ length: 2 * Math.round(REACH / STEP) + 1 }, (_, i) => {
	const t = -REACH + i * STEP;
	const s = (Math.PI / 2) * Math.sinh(t);
	return {
		toEnd: 1 / (Math.exp(Math.abs(s)) * Math.cosh(s)),
		left: t < 0,
		weight: (STEP * (Math.PI / 2) * Math.cosh(t)) / Math.cosh(s) ** 2
	};
});

/**
 * ∫ f over (from, to) by double-exponential (tanh–sinh) quadrature.
 *
 * For integrands that are smooth inside and may be steep, or have a root or power singularity, at the ends: a chance of
 * passing a limit is such a one where the limit is the end. f is never asked for the ends themselves.
 * Accuracy: about 1e-10 of the integral for such f. Errors: PreconditionError for limits not finite or reversed.
 * Source: H. Takahasi, M. Mori, Publ. RIMS 9 (1974) 721–741.
 *
 * @example integrate((x) => 1 / Math.sqrt(x), 0, 1) // 2
 */
export function integrate(f: (x: number) => number, from: number, to: number): number {
	requireThat(
		Number.isFinite(from) && Number.isFinite(to) && from <= to,
		'integrate',
		'limits',
		`${from} … ${to}`,
		'finite, in order'
	);
	const half = (to - from) / 2;
	let sum = 0;
	for (const { toEnd, left, weight } of nodes) {
		const x = left ? from + half * toEnd : to - half * toEnd;
		if (x > from && x < to) sum += weight * f(x);
	}
	return sum * half;
}
