import { chebyshevFit, leastSquares } from '../number';

/** How far points stray from their ideal figure: from the least-squares figure, and the least that any figure allows. */
export interface FormDeviation {
	/** Range of the deviations from the least-squares figure. */
	readonly leastSquares: number;
	/** Width of the narrowest zone that holds all points (minimum zone): never larger than the least-squares one. */
	readonly minimumZone: number;
	/** Deviation of each point from the minimum-zone figure, in the order given. */
	readonly deviations: readonly number[];
	/** Points that touch the zone's two sides. */
	readonly contacts: readonly number[];
}

/** Deviation of values from the linear figure whose basis functions are the columns; undefined where they do not span it. */
export function deviationFrom(
	rows: readonly (readonly number[])[],
	values: readonly number[]
): FormDeviation | undefined {
	const square = leastSquares(rows, values);
	if (!square) return undefined;
	const residuals = (x: readonly number[]) =>
		rows.map((row, i) => values[i] - row.reduce((sum, a, j) => sum + a * x[j], 0));
	const range = (list: readonly number[]) => Math.max(...list) - Math.min(...list);
	const { x, error, contacts } = chebyshevFit(rows, values);
	return {
		leastSquares: range(residuals(square)),
		minimumZone: 2 * error,
		deviations: residuals(x),
		contacts
	};
}
