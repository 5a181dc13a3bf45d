import { requireThat } from './require';

/** An estimate of a ratio with its two-sided 95 % limits; a limit left out is none. */
export interface RatioEstimate {
	readonly value: number;
	readonly low?: number;
	readonly high?: number;
}

const REACH_95 = 1.959963984540054;
const NOTHING_SEEN = 0.05;

/** Whether the limits of a ratio exclude 1. */
export const isTold = ({ low = 0, high = Infinity }: RatioEstimate): boolean => low > 1 || high < 1;

/**
 * How many times the present record it takes until the 95 % limits of a ratio exclude 1, should the ratio stay as it is: limits on its
 * logarithm narrow with the root of the record. Undefined where a limit is missing, or the ratio is too near 1 for anything to be expected.
 *
 * Errors: PreconditionError for a ratio that is none. Source: W. Meeker, L. Escobar, Statistical Methods for Reliability Data (1998), ch. 10.
 *
 * @example recordNeeded({ value: 2, low: 0.5, high: 8 }) // 4
 */
export function recordNeeded({ value, low = 0, high = Infinity }: RatioEstimate): number | undefined {
	requireThat(value >= 0 && !Number.isNaN(value), 'recordNeeded', 'value', value, 'at least 0');
	requireThat(low >= 0 && low <= high, 'recordNeeded', 'low', low, `from 0 to ${high}`);
	if (!(low > 0 && high < Infinity && value > 0 && value < Infinity) || high === low) return undefined;
	const u = (Math.log(high) - Math.log(low)) / (2 * REACH_95);
	const distance = Math.abs(Math.log(value));
	return distance < NOTHING_SEEN ? undefined : Math.max(1, (REACH_95 * (u / distance)) ** 2);
}
