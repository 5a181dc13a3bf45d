import { mean, requireThat, sampleVariance, studentQuantile } from '../number';

interface Outlier {
	/** Position of the suspect in the readings as given. */
	readonly index: number;
	/** Grubbs' statistic |x − mean|/s, and the value it would have to stay below. */
	readonly g: number;
	readonly critical: number;
}

/**
 * The reading that does not fit its neighbours, by Grubbs' two-sided test, or undefined.
 * It is pointed out for a second reading, never dropped.
 *
 * Shape: repeated readings of one point. Fewer than three, or all equal: undefined, since nothing can be said.
 * Units: any. Errors: PreconditionError for a reading that is not finite or alpha outside (0, 1).
 * Source: F. E. Grubbs, Technometrics 11 (1969) 1–21; critical value by the t quantile at alpha/(2n), n − 2 dof.
 *
 * @example findOutlier([10.0, 10.1, 9.9, 10.0, 12.0]) // index 4
 */
export function findOutlier(readings: readonly number[], alpha = 0.05): Outlier | undefined {
	requireThat(readings.every(Number.isFinite), 'findOutlier', 'readings', readings, 'finite numbers');
	requireThat(alpha > 0 && alpha < 1, 'findOutlier', 'alpha', alpha, 'between 0 and 1');
	const n = readings.length;
	if (n < 3) return undefined;
	const s = Math.sqrt(sampleVariance(readings));
	if (s === 0) return undefined;
	const centre = mean(readings);
	const distances = readings.map((reading) => Math.abs(reading - centre));
	const index = distances.indexOf(Math.max(...distances));
	const g = distances[index] / s;
	const critical = grubbsCritical(n, alpha);
	return g > critical ? { index, g, critical } : undefined;
}

/**
 * Two-sided critical value of Grubbs' statistic for n ≥ 3 readings.
 * Errors: PreconditionError for fewer readings or alpha outside (0, 1). Source: as `findOutlier`.
 *
 * @example grubbsCritical(5, 0.05) // 1.7150
 */
export function grubbsCritical(n: number, alpha: number): number {
	requireThat(Number.isInteger(n) && n >= 3, 'grubbsCritical', 'n', n, 'a whole number from 3');
	requireThat(alpha > 0 && alpha < 1, 'grubbsCritical', 'alpha', alpha, 'between 0 and 1');
	const t2 = studentQuantile(1 - alpha / (2 * n), n - 2) ** 2;
	return ((n - 1) / Math.sqrt(n)) * Math.sqrt(t2 / (n - 2 + t2));
}
