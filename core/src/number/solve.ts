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
 * Least-squares coefficients of a linear fit; undefined where the rows do not span the columns to twelve digits, or a number is not
 * finite. Shape: n × m rows of order one, n values; neither is changed.
 * Source: Householder QR, Golub & Van Loan, Matrix Computations (2013), 5.3.2; accurate where the normal equations are singular.
 */
export function leastSquares(
	rows: readonly (readonly number[])[],
	values: readonly number[]
): readonly number[] | undefined {
	const columns = rows[0]?.length ?? 0;
	if (rows.length < columns) return undefined;
	const r = rows.map((row, i) => [...row, values[i]]);
	const diagonal: number[] = [];
	for (let k = 0; k < columns; k++) {
		const length = norm(r.slice(k).map((row) => row[k]));
		const head = r[k][k] > 0 ? -length : length;
		diagonal.push(head);
		// The reflection that turns this column on to its first place, on all columns right of it.
		const v = r.slice(k).map((row, i) => (i === 0 ? row[k] - head : row[k]));
		const squared = v.reduce((sum, value) => sum + value * value, 0);
		if (squared === 0) continue;
		for (let j = k + 1; j <= columns; j++) {
			const twice = (2 * v.reduce((sum, value, i) => sum + value * r[k + i][j], 0)) / squared;
			v.forEach((value, i) => (r[k + i][j] -= twice * value));
		}
	}
	const scale = Math.max(...rows.flat().map(Math.abs));
	if (!diagonal.every((value) => Math.abs(value) > 1e-12 * scale)) return undefined;
	const x = new Array<number>(columns).fill(0);
	for (let i = columns - 1; i >= 0; i--) {
		const known = r[i].slice(i + 1, columns).reduce((sum, value, j) => sum + value * x[i + 1 + j], 0);
		x[i] = (r[i][columns] - known) / diagonal[i];
	}
	return x.every(Number.isFinite) ? x : undefined;
}

const norm = (values: readonly number[]): number => Math.hypot(...values);
