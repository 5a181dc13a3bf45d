import { requireThat } from './require';

/**
 * x with matrix·x = right, by elimination with row exchange; undefined where the matrix is singular to rounding, or a number not finite.
 * Shape: a square matrix of a few rows; neither argument is changed.
 */
export function solveLinear(
	matrix: readonly (readonly number[])[],
	right: readonly number[]
): readonly number[] | undefined {
	const n = right.length;
	requireThat(n > 0, 'solveLinear', 'right', 'empty', 'at least one value');
	requireThat(
		matrix.length === n && matrix.every((row) => row.length === n),
		'solveLinear',
		'matrix',
		matrix.length,
		`${n} rows of ${n} values`
	);
	const m = matrix.map((row, i) => [...row, right[i]]);
	const scale = Math.max(...matrix.flat().map(Math.abs));
	for (let column = 0; column < n; column++) {
		let pivot = column;
		for (let i = column + 1; i < n; i++) if (Math.abs(m[i][column]) > Math.abs(m[pivot][column])) pivot = i;
		if (!(Math.abs(m[pivot][column]) > 1e-14 * scale)) return undefined;
		[m[column], m[pivot]] = [m[pivot], m[column]];
		for (let i = column + 1; i < n; i++) {
			const factor = m[i][column] / m[column][column];
			for (let j = column; j <= n; j++) m[i][j] -= factor * m[column][j];
		}
	}
	const x = new Array<number>(n).fill(0);
	for (let i = n - 1; i >= 0; i--) {
		x[i] = (m[i][n] - m[i].slice(i + 1, n).reduce((sum, a, j) => sum + a * x[i + 1 + j], 0)) / m[i][i];
	}
	return x.every(Number.isFinite) ? x : undefined;
}

/**
 * Least-squares coefficients of a linear fit, by its normal equations; undefined where the rows do not span the columns.
 * Shape: n × m rows of order one, n values. For the few columns of a form fit; not for ill-conditioned ones.
 */
export function leastSquares(
	rows: readonly (readonly number[])[],
	values: readonly number[]
): readonly number[] | undefined {
	const columns = rows[0]?.length ?? 0;
	const normal = Array.from({ length: columns }, (_, i) =>
		Array.from({ length: columns }, (_, j) => rows.reduce((sum, row) => sum + row[i] * row[j], 0))
	);
	const right = Array.from({ length: columns }, (_, i) => rows.reduce((sum, row, k) => sum + row[i] * values[k], 0));
	return solveLinear(normal, right);
}
