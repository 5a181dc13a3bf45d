import { finiteAnswer, requireThat } from './require';

/** Arithmetic mean of at least one finite number. */
export function mean(values: readonly number[]): number {
	requireThat(values.length > 0 && values.every(Number.isFinite), 'mean', 'values', values, 'finite numbers');
	const first = values[0];
	return first + values.reduce((sum, value) => sum + (value - first), 0) / values.length;
}

/**
 * Sample variance (divisor n − 1) of at least two finite numbers.
 * Summed about the mean: readings near 20 mm that differ by 1 µm keep their digits.
 */
export function sampleVariance(values: readonly number[]): number {
	requireThat(values.length > 1, 'sampleVariance', 'values', values, 'at least two numbers');
	const centre = mean(values);
	const squares = values.reduce((sum, value) => sum + (value - centre) ** 2, 0);
	return finiteAnswer('sampleVariance', squares / (values.length - 1));
}
