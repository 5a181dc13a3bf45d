import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chebyshevFit, leastSquares, solveLinear } from '.';

const rowsOf = (n: number, m: number, seed: number) =>
	Array.from({ length: n }, (_, i) => [
		1,
		...Array.from({ length: m - 1 }, (_, j) => Math.sin((i + 1) * (j + 1) * seed * 0.37 + j))
	]);
const valuesOf = (n: number, seed: number) =>
	Array.from({ length: n }, (_, i) => Math.cos(1.7 * i * seed) + 0.3 * Math.sin(5.1 * i));
const largest = (rows: readonly (readonly number[])[], values: readonly number[], x: readonly number[]) =>
	Math.max(...rows.map((row, i) => Math.abs(values[i] - row.reduce((sum, a, j) => sum + a * x[j], 0))));

/** The slow obvious way: the fit of all points is as bad as that of the worst subset of one more than its columns. */
function bySubsets(rows: readonly (readonly number[])[], values: readonly number[]): number {
	const size = rows[0].length + 1;
	let worst = 0;
	const pick = (from: number, chosen: number[]) => {
		if (chosen.length === size) {
			worst = Math.max(worst, ofSubset(chosen));
			return;
		}
		for (let i = from; i < rows.length; i++) pick(i + 1, [...chosen, i]);
	};
	// Of size points the residuals are all ± one error; the signs are those of the combination that cancels the columns.
	const ofSubset = (chosen: number[]) => {
		const columns = rows[0].length;
		const matrix = Array.from({ length: columns }, (_, j) => chosen.slice(0, columns).map((i) => rows[i][j]));
		const weights = solveLinear(
			matrix,
			Array.from({ length: columns }, (_, j) => -rows[chosen[columns]][j])
		);
		if (!weights) return 0;
		const all = [...weights, 1];
		const sum = all.reduce((total, w) => total + Math.abs(w), 0);
		return Math.abs(all.reduce((total, w, k) => total + w * values[chosen[k]], 0)) / sum;
	};
	pick(0, []);
	return worst;
}

describe('chebyshevFit', () => {
	// scipy 1.17.1, linprog (HiGHS) on the primal programme.
	it.each([
		[8, 2, 1, 1.1637890433696252],
		[12, 3, 2, 0.9586777655127979],
		[20, 3, 3, 1.0223857181227711],
		[30, 5, 4, 1.1015006079965886]
	])('of %i points in %i columns (case %i) is %d', (n, m, seed, error) => {
		const found = chebyshevFit(rowsOf(n, m, seed), valuesOf(n, seed));
		expect(found.error).toBeCloseTo(error, 12);
		expect(largest(rowsOf(n, m, seed), valuesOf(n, seed), found.x)).toBeCloseTo(error, 12);
	});
	const cases = fc.record({
		n: fc.integer({ min: 5, max: 9 }),
		m: fc.integer({ min: 2, max: 4 }),
		values: fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 9, maxLength: 9 }),
		seed: fc.integer({ min: 1, max: 16 }) // 17 turns by almost 2π a row: those rows hardly span, and have a test of their own
	});
	it('is as bad as its worst handful of points, and no worse', () =>
		fc.assert(
			fc.property(cases, ({ n, m, values, seed }) => {
				const rows = rowsOf(n, m, seed);
				const { error } = chebyshevFit(rows, values.slice(0, n));
				expect(Math.abs(error - bySubsets(rows, values.slice(0, n)))).toBeLessThan(1e-9 * (1 + error));
			}),
			{ seed: 51, numRuns: 200 }
		));
	it('never misses by more than the least-squares fit does, and shifts with the values', () =>
		fc.assert(
			fc.property(cases, fc.double({ min: -1e3, max: 1e3, noNaN: true }), ({ n, m, values, seed }, shift) => {
				const rows = Object.freeze(rowsOf(n, m, seed));
				const at = Object.freeze(values.slice(0, n));
				const { error, x } = chebyshevFit(rows, at);
				expect(error).toBeLessThanOrEqual(largest(rows, at, leastSquares(rows, at)!) + 1e-9);
				const moved = chebyshevFit(
					rows,
					at.map((value) => value + shift)
				);
				expect(moved.error).toBeCloseTo(error, 8);
				expect(moved.x[0]).toBeCloseTo(x[0] + shift, 6);
			}),
			{ seed: 52, numRuns: 200 }
		));
	it('is held by one point more than it has columns', () => {
		const rows = rowsOf(20, 3, 3);
		const { contacts, error, x } = chebyshevFit(rows, valuesOf(20, 3));
		expect(contacts.length).toBeGreaterThanOrEqual(4);
		for (const i of contacts) expect(largest([rows[i]], [valuesOf(20, 3)[i]], x)).toBeCloseTo(error, 9);
	});
	it('comes to an end where the rows hardly span their columns', () => {
		// Condition number 4.5e6; scipy's linear programme: 0.4234427395627435.
		const { error } = chebyshevFit(rowsOf(5, 4, 17), [0, 0, 0, -1.7, 0]);
		expect(error).toBeCloseTo(0.4234427395627435, 4);
		expect(chebyshevFit(rowsOf(5, 2, 1), [0, 0, 0, 0, -5e-324]).error).toBeLessThan(1e-300);
	});
	it('of values on the figure is 0', () => {
		const rows = rowsOf(10, 3, 2);
		const on = rows.map((row) => 2 * row[0] - row[1] + 0.5 * row[2]);
		expect(chebyshevFit(rows, on).error).toBeLessThan(1e-12);
	});
	it.each([
		[[[1, 0]], [1], 'more than 2 rows'],
		[[[1], [1]], [1, NaN], 'a finite value for each row'],
		[[[1], [1]], [1], 'a finite value for each row']
	])('refuses %j with %j', (rows, values, says) => expect(() => chebyshevFit(rows, values)).toThrow(says));
});

describe('solveLinear and leastSquares', () => {
	it('fits rows of condition 1.4e8, whose normal equations are singular in double precision', () => {
		// P. Läuchli, Numer. Math. 3 (1961) 226: columns alike but for e.
		const e = 1e-8;
		const rows = [
			[1, 1],
			[e, 0],
			[0, e]
		];
		const [a, b] = leastSquares(rows, [3, e, 2 * e])!;
		expect(a).toBeCloseTo(1, 6);
		expect(b).toBeCloseTo(2, 6);
	});
	it('answers nothing where there are fewer rows than columns, or a column is empty', () => {
		expect(leastSquares([[1, 2]], [1])).toBeUndefined();
		expect(
			leastSquares(
				[
					[1, 0],
					[2, 0],
					[3, 0]
				],
				[1, 2, 3]
			)
		).toBeUndefined();
	});
	it('solve what they are given, and leave it as it was', () =>
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 3, maxLength: 3 }),
				fc.integer({ min: 1, max: 40 }),
				(x, seed) => {
					const matrix = rowsOf(3, 3, seed).map((row, i) => row.map((a, j) => a + (i === j ? 2 : 0)));
					const right = matrix.map((row) => row.reduce((sum, a, j) => sum + a * x[j], 0));
					const frozen = JSON.stringify([matrix, right]);
					const found = solveLinear(matrix, right)!;
					found.forEach((value, i) => expect(value).toBeCloseTo(x[i], 8));
					expect(JSON.stringify([matrix, right])).toBe(frozen);
				}
			),
			{ seed: 53 }
		));
	it('say that a singular matrix has no answer', () => {
		expect(
			solveLinear(
				[
					[1, 2],
					[2, 4]
				],
				[1, 2]
			)
		).toBeUndefined();
		expect(
			leastSquares(
				[
					[1, 1],
					[1, 1],
					[1, 1]
				],
				[1, 2, 3]
			)
		).toBeUndefined();
	});
	it('a line through three points: slope and height by hand', () => {
		// y = 1, 3, 4 at x = 0, 1, 2: slope 3/2, mean 8/3, so height 8/3 − 3/2.
		const [height, slope] = leastSquares(
			[
				[1, 0],
				[1, 1],
				[1, 2]
			],
			[1, 3, 4]
		)!;
		expect(slope).toBeCloseTo(1.5, 12);
		expect(height).toBeCloseTo(8 / 3 - 1.5, 12);
	});
});
