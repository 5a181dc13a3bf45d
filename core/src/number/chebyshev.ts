import { requireThat } from './require';
import { solveLinear } from './solve';

interface ChebyshevFit {
	/** The coefficients, one a column. */
	readonly x: readonly number[];
	/** Largest |residual|: no other coefficients have a smaller one. */
	readonly error: number;
	/** Rows that touch the error, and so hold the fit: one more than there are columns (fewer where they coincide). */
	readonly contacts: readonly number[];
}

const TOLERANCE = 1e-12; // of the largest value, below which a residual counts as touching
const LOOSEST = 1e-6; // tolerance at which rows that nearly fail to span their columns are given up
const NOTHING = 1e-290; // values below it are too near the end of the number range to be told apart
const BLAND_AFTER = 200; // exchanges by the largest violation, before the rule that cannot cycle takes over
const LOOSEN_AFTER = 400; // exchanges without an end: rounding hides it, so the tolerance is made ten times as wide

/**
 * The linear fit whose largest residual is least: min over x of max |bᵢ − aᵢ·x|.
 *
 * Exact, not iterative: a linear programme, solved in its dual by the revised simplex method on a basis of (columns + 1)
 * rows, which for this problem is Stiefel's exchange. Minimum-zone form deviations are twice its error.
 * Shape: `rows` n × m with n > m, `values` n. Scale the columns to order one.
 * Accuracy: 1e-12 of the largest value; less, down to 1e-6, where the rows nearly fail to span their columns.
 * Errors: PreconditionError where a number is not finite, or the rows do not span their columns, or so nearly that 1e-6 is not
 * reached (all points on one line).
 * Source: E. Stiefel, Numer. Math. 2 (1960) 1–17; I. Barrodale, C. Phillips, ACM TOMS 1 (1975) 264–270.
 */
export function chebyshevFit(rows: readonly (readonly number[])[], values: readonly number[]): ChebyshevFit {
	const columns = rows[0]?.length ?? 0;
	requireThat(columns > 0, 'chebyshevFit', 'columns', columns, 'at least one');
	requireThat(rows.length > columns, 'chebyshevFit', 'rows', rows.length, `more than ${columns} rows`);
	requireThat(
		[...rows.flat(), ...values].every(Number.isFinite) && values.length === rows.length,
		'chebyshevFit',
		'values',
		values.length,
		'a finite value for each row'
	);
	const scale = Math.max(...values.map(Math.abs), NOTHING);
	const basis = firstBasis(rows);
	let tolerance = TOLERANCE * scale;
	for (let exchanges = 1; tolerance <= LOOSEST * scale; exchanges++) {
		if (exchanges % LOOSEN_AFTER === 0) tolerance *= 10;
		const matrix = basis.map(({ row, sign }) => [...rows[row].map((a) => sign * a), 1]);
		const dual = solveLinear(
			matrix,
			basis.map(({ row, sign }) => sign * values[row])
		);
		requireThat(dual !== undefined, 'chebyshevFit', 'rows', 'of unlike size', 'columns of order one');
		const [x, error] = [dual.slice(0, columns), dual[columns]];
		const residuals = rows.map((row, i) => values[i] - row.reduce((sum, a, j) => sum + a * x[j], 0));
		const entering = pick(residuals, error + tolerance, exchanges >= BLAND_AFTER);
		if (entering === undefined)
			return { x, error: Math.max(0, error), contacts: [...new Set(basis.map(({ row }) => row))] };
		replaceIn(basis, rows, matrix, { row: entering, sign: residuals[entering] >= 0 ? 1 : -1 });
	}
	requireThat(false, 'chebyshevFit', 'rows', 'nearly on one line', 'points that span the figure');
}

interface BasisRow {
	readonly row: number;
	readonly sign: 1 | -1;
	/** Its weight in the dual: at least 0, all of them together 1. */
	weight: number;
}

function pick(residuals: readonly number[], most: number, first: boolean): number | undefined {
	let found: number | undefined;
	for (const [i, residual] of residuals.entries()) {
		if (Math.abs(residual) <= (found === undefined ? most : Math.abs(residuals[found]))) continue;
		found = i;
		if (first) break;
	}
	return found;
}

// Rows that span the columns, found by elimination with the largest pivot, and one more row that hangs on them.
function firstBasis(rows: readonly (readonly number[])[]): BasisRow[] {
	const columns = rows[0].length;
	const left = rows.map((row) => [...row]);
	const chosen: number[] = [];
	for (let column = 0; column < columns; column++) {
		const candidates = left.map((row, i) => (chosen.includes(i) ? 0 : Math.abs(row[column])));
		const pivot = candidates.indexOf(Math.max(...candidates));
		requireThat(candidates[pivot] > 1e-9, 'chebyshevFit', 'rows', `rank ${column}`, `rank ${columns}`);
		chosen.push(pivot);
		for (const [i, row] of left.entries()) {
			if (chosen.includes(i)) continue;
			const factor = row[column] / left[pivot][column];
			for (let j = column; j < columns; j++) row[j] -= factor * left[pivot][j];
		}
	}
	const extra = rows.findIndex((_, i) => !chosen.includes(i));
	// The extra row as a combination of the chosen ones gives the signs under which the weights balance.
	const combination = solveLinear(transposed(chosen.map((i) => rows[i])), rows[extra]);
	requireThat(combination !== undefined, 'chebyshevFit', 'rows', 'of unlike size', 'columns of order one');
	const total = combination.reduce((sum, c) => sum + Math.abs(c), 1);
	return [
		...chosen.map((row, i) => ({
			row,
			sign: (combination[i] > 0 ? -1 : 1) as 1 | -1,
			weight: Math.abs(combination[i]) / total
		})),
		{ row: extra, sign: 1, weight: 1 / total }
	];
}

const transposed = (matrix: readonly (readonly number[])[]) => matrix[0].map((_, j) => matrix.map((row) => row[j]));

// One simplex step: the entering row takes the place of the basis row whose weight is used up first.
function replaceIn(
	basis: BasisRow[],
	rows: readonly (readonly number[])[],
	matrix: readonly (readonly number[])[],
	entering: { row: number; sign: 1 | -1 }
): void {
	const column = [...rows[entering.row].map((a) => entering.sign * a), 1];
	const shares = solveLinear(transposed(matrix), column)!;
	let leaving = -1;
	for (const [i, share] of shares.entries()) {
		if (share <= 1e-12) continue;
		const best = leaving < 0 ? Infinity : basis[leaving].weight / shares[leaving];
		const ratio = basis[i].weight / share;
		if (ratio < best || (ratio === best && basis[i].row < basis[leaving].row)) leaving = i;
	}
	const step = basis[leaving].weight / shares[leaving];
	for (const [i, share] of shares.entries()) basis[i].weight = Math.max(0, basis[i].weight - step * share);
	basis[leaving] = { ...entering, weight: step };
}
