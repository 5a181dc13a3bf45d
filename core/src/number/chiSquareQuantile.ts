/** Quantiles of chi-square, from the @stdlib library; checked in distributions.test.ts as its neighbours are. */
import chiSquareQuantile_ from '@stdlib/stats-base-dists-chisquare-quantile';
import { normalQuantile } from './distributions';
import { gammaTails, stirling } from './gamma';
import { finiteAnswer, requireThat } from './require';

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
