import { normalCdf, requireThat } from '../number';

/** What is known of a part's wear when its future is asked for. Wear in mm (or its unit), hours of pump running. */
export interface WearState {
	/** Wear now and its standard uncertainty; new is 0. */
	readonly worn: number;
	readonly u: number;
	/** Wear that the discard limit allows. */
	readonly allowance: number;
	/** Hours the part has run. */
	readonly hours: number;
	/** Relative scatter of this part's rate from one interval to the next (standard deviation / mean). */
	readonly rateScatter: number;
}

export interface Outlook {
	/** Expected wear after the interval, with its standard uncertainty. */
	readonly expected: number;
	readonly u: number;
	/** P(wear beyond the allowance at the end of the interval). */
	readonly probability: number;
	/** Wear per 1000 h. */
	readonly ratePer1000h: number;
	/** What it rests on besides its own history: this many parts like it, the sheet's prior, or nothing. */
	readonly basis:
		{ readonly kind: 'fleet'; readonly parts: number } | { readonly kind: 'sheet' } | { readonly kind: 'ownRate' };
}

/** Answers how a worn part will stand after more hours. */
export type Forecast = (state: WearState, intervalHours: number) => Outlook;

/** Scatter of the wear rate between intervals where nothing better is known: our own assumption, shown as such. */
export const ASSUMED_RATE_SCATTER = 0.3;

/**
 * Forecast by the part's own mean rate: worn/hours carried on, normal about worn + rate·H.
 *
 * Variance: (u·(1 + H/hours))² for the measurement, which enters the present wear and the rate alike, plus
 * (scatter·rate·H)² for the rate that will not stay what it was.
 * Units: as given; hours > 0, interval ≥ 0. A part that measures larger than new is taken to wear at rate 0.
 * Errors: PreconditionError for hours or allowance not above 0, u below 0, negative interval.
 * Source: propagation of uncertainty, JCGM 100:2008 5.1.2, of w + (w/t)·H.
 *
 * @example byMeanRate({ worn: 0.02, u: 0, allowance: 0.05, hours: 1000, rateScatter: 0.3 }, 1000).expected // 0.04
 */
export const byMeanRate: Forecast = ({ worn, u, allowance, hours, rateScatter }, intervalHours) => {
	requireThat(hours > 0, 'byMeanRate', 'hours', hours, 'above 0');
	requireThat(allowance > 0, 'byMeanRate', 'allowance', allowance, 'above 0');
	requireThat(u >= 0, 'byMeanRate', 'u', u, 'at least 0');
	requireThat(intervalHours >= 0, 'byMeanRate', 'intervalHours', intervalHours, 'at least 0');
	const rate = Math.max(0, worn / hours);
	const expected = worn + rate * intervalHours;
	const spread = Math.hypot(u * (1 + intervalHours / hours), rateScatter * rate * intervalHours);
	const margin = allowance - expected;
	const probability = spread > 0 ? normalCdf(-margin / spread) : margin < 0 ? 1 : 0;
	return { expected, u: spread, probability, ratePer1000h: rate * 1000, basis: { kind: 'ownRate' } };
};
