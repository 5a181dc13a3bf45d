import { requireThat } from './require';

export type Minimum =
	| { readonly kind: 'converged'; readonly at: readonly number[]; readonly value: number; readonly iterations: number }
	| {
			readonly kind: 'notConverged';
			readonly reason: 'iterations' | 'noDescent' | 'notFinite';
			readonly at: readonly number[];
			readonly iterations: number;
	  };

const STEP = 1e-4; // for differences of a function of order 1 to 1e4 in parameters of order 1 (logarithms)
const GRADIENT_TOLERANCE = 1e-5;
const MOST_ITERATIONS = 200;
const LONGEST_STEP = 1.5;

/**
 * Minimum of a smooth function of a few parameters of order one, by damped Newton steps with difference quotients.
 *
 * Where the matrix of second differences is not positive definite it is shifted until it is (Levenberg), so every step
 * goes down. Stops when the gradient is below 1e-5 of (1 + |f|), or says why it did not.
 * Errors: PreconditionError where the start is empty or not finite.
 * Source: J. Nocedal, S. Wright, Numerical Optimization (2006), 3.4.
 */
export function minimise(f: (x: readonly number[]) => number, start: readonly number[]): Minimum {
	requireThat(start.length > 0 && start.every(Number.isFinite), 'minimise', 'start', start, 'finite numbers');
	let x = [...start];
	let value = f(x);
	if (!Number.isFinite(value)) return { kind: 'notConverged', reason: 'notFinite', at: x, iterations: 0 };
	for (let iterations = 1; iterations <= MOST_ITERATIONS; iterations++) {
		const { gradient, curvature } = differences(f, x, value);
		if (Math.hypot(...gradient) <= GRADIENT_TOLERANCE * (1 + Math.abs(value)))
			return { kind: 'converged', at: x, value, iterations };
		const next = downhill(f, x, value, gradient, curvature);
		if (!next) return { kind: 'notConverged', reason: 'noDescent', at: x, iterations };
		[x, value] = [next.x, next.value];
	}
	return { kind: 'notConverged', reason: 'iterations', at: x, iterations: MOST_ITERATIONS };
}

function differences(f: (x: readonly number[]) => number, x: readonly number[], value: number) {
	const moved = (...steps: [index: number, by: number][]) => {
		const y = [...x];
		for (const [index, by] of steps) y[index] += by;
		return f(y);
	};
	const up = x.map((_, i) => moved([i, STEP]));
	const down = x.map((_, i) => moved([i, -STEP]));
	const gradient = x.map((_, i) => (up[i] - down[i]) / (2 * STEP));
	const curvature = x.map((_, i) =>
		x.map((_, j) => {
			if (i === j) return (up[i] - 2 * value + down[i]) / STEP ** 2;
			const cross =
				moved([i, STEP], [j, STEP]) -
				moved([i, STEP], [j, -STEP]) -
				moved([i, -STEP], [j, STEP]) +
				moved([i, -STEP], [j, -STEP]);
			return cross / (4 * STEP ** 2);
		})
	);
	return { gradient, curvature };
}

function downhill(
	f: (x: readonly number[]) => number,
	x: readonly number[],
	value: number,
	gradient: readonly number[],
	curvature: readonly (readonly number[])[]
) {
	const scale = Math.max(...curvature.map((row, i) => Math.abs(row[i])), 1e-8);
	for (let shift = 0; shift < 1e8 * scale; shift = shift === 0 ? 1e-4 * scale : shift * 10) {
		const step = solvePositive(
			curvature.map((row, i) => row.map((c, j) => (i === j ? c + shift : c))),
			gradient
		);
		if (!step) continue;
		const length = Math.hypot(...step);
		const most = length > LONGEST_STEP ? LONGEST_STEP / length : 1;
		for (let part = most; part > 1e-6; part /= 2) {
			const y = x.map((xi, i) => xi - part * step[i]);
			const there = f(y);
			if (there < value) return { x: y, value: there };
		}
	}
	return undefined;
}

// Cholesky: undefined where the matrix is not positive definite, so that the step would not go down.
function solvePositive(matrix: readonly (readonly number[])[], right: readonly number[]): number[] | undefined {
	const n = right.length;
	const lower = matrix.map(() => new Array<number>(n).fill(0));
	for (let i = 0; i < n; i++) {
		for (let j = 0; j <= i; j++) {
			const rest = matrix[i][j] - lower[i].slice(0, j).reduce((sum, l, k) => sum + l * lower[j][k], 0);
			if (i === j && !(rest > 0)) return undefined;
			lower[i][j] = i === j ? Math.sqrt(rest) : rest / lower[j][j];
		}
	}
	const y: number[] = [];
	for (let i = 0; i < n; i++)
		y[i] = (right[i] - lower[i].slice(0, i).reduce((sum, l, k) => sum + l * y[k], 0)) / lower[i][i];
	const solution: number[] = new Array(n).fill(0);
	for (let i = n - 1; i >= 0; i--) {
		let rest = y[i];
		for (let k = i + 1; k < n; k++) rest -= lower[k][i] * solution[k];
		solution[i] = rest / lower[i][i];
	}
	return solution;
}
