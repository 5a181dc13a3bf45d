import { chiSquareQuantile, chiSquareUpper, normalCdf, normalQuantile, requireThat } from '../number';
import type { Estimate } from './weibullLimits';

/** One pump's repairs or replacements, in its hours, watched from 0 to `until`. */
export interface RepairHistory {
	readonly until: number;
	readonly at: readonly number[];
}

/** Replacements per pump up to these hours. */
export interface CumulativeStep {
	readonly hours: number;
	readonly pumps: number;
	readonly mean: number;
	readonly low: number;
	readonly high: number;
}

const LEVEL = 0.95;

/**
 * Mean number of repairs of one pump up to each hour at which one happened, with limits that assume nothing of how repairs of one
 * pump hang together.
 * Units: hours. Errors: PreconditionError for a repair after its pump was last watched, or hours that cannot be.
 * Source: W. Nelson, Recurrent Events Data Analysis (2003), ch. 1; J. Lawless, C. Nadeau, Technometrics 37 (1995) 158–168 (variance).
 */
export function meanCumulative(pumps: readonly RepairHistory[], level = LEVEL): CumulativeStep[] {
	requireHistories('meanCumulative', pumps);
	requireThat(level > 0 && level < 1, 'meanCumulative', 'level', level, 'between 0 and 1');
	const z = normalQuantile((1 + level) / 2);
	const hours = [...new Set(pumps.flatMap(({ at }) => at))].sort((a, b) => a - b);
	const ownSums = new Float64Array(pumps.length);
	let mean = 0;
	return hours.map((now) => {
		const watched = pumps.filter(({ until }) => until >= now).length;
		const happened = pumps.map(({ at }) => at.filter((one) => one === now).length);
		const rise = happened.reduce((sum, count) => sum + count, 0) / watched;
		mean += rise;
		for (const [i, { until }] of pumps.entries()) if (until >= now) ownSums[i] += (happened[i] - rise) / watched;
		const u = Math.sqrt(ownSums.reduce((sum, value) => sum + value * value, 0));
		// On the logarithm, so that no limit falls below nought.
		const spread = Math.exp((z * u) / mean);
		return { hours: now, pumps: watched, mean, low: mean / spread, high: mean * spread };
	});
}

export interface RepairTrend {
	readonly events: number;
	/** Exponent of the power law: below 1 the pumps get better, above 1 worse; undefined without an event. */
	readonly exponent?: Estimate;
	/** Two-sided, of no trend; undefined without an event. */
	readonly pLaplace?: number;
	readonly pMilHandbook?: number;
}

/**
 * Whether pumps get better or worse as they run: exponent of the power law of all of them together, Laplace's test and that of
 * MIL-HDBK-189 against a steady rate.
 * Units: hours. Errors: as `meanCumulative`. Repairs at hour 0 say nothing of a trend and are left out.
 * The exponent is common to all pumps, each at a rate of its own: N / ΣΣ ln(T/t).
 * Source: MIL-HDBK-189C (2011), 5.2 (time-terminated, exponent and its χ² test); D. Cox, P. Lewis (1966), 3.3 (Laplace).
 */
export function repairTrend(pumps: readonly RepairHistory[], level = LEVEL): RepairTrend {
	requireHistories('repairTrend', pumps);
	requireThat(level > 0 && level < 1, 'repairTrend', 'level', level, 'between 0 and 1');
	const events = pumps.flatMap(({ until, at }) => at.filter((one) => one > 0).map((one) => ({ one, until })));
	const count = events.length;
	if (count === 0) return { events: 0 };
	const longest = events.reduce((most, { until }) => Math.max(most, until), 0);
	const centred = events.reduce((sum, { one, until }) => sum + one / longest - until / longest / 2, 0);
	const spread = Math.sqrt(events.reduce((sum, { until }) => sum + (until / longest) ** 2 / 12, 0));
	// Given each pump's count its events lie as ordered draws: 2·Σ ln(T/t) is chi-square with 2N.
	const statistic = 2 * events.reduce((sum, { one, until }) => sum + Math.log(until) - Math.log(one), 0);
	const upper = statistic > 0 ? chiSquareUpper(statistic, 2 * count) : 1;
	const exponent = statistic > 0 ? (2 * count) / statistic : undefined;
	const tail = (1 - level) / 2;
	return {
		events: count,
		...(exponent === undefined
			? {}
			: {
					exponent: {
						value: exponent,
						low: chiSquareQuantile(tail, 2 * count) / statistic,
						high: chiSquareQuantile(1 - tail, 2 * count) / statistic
					}
				}),
		pLaplace: Math.min(1, 2 * normalCdf(-Math.abs(centred / spread))),
		pMilHandbook: Math.min(1, 2 * Math.min(upper, 1 - upper))
	};
}

function requireHistories(fn: string, pumps: readonly RepairHistory[]): void {
	for (const { until, at } of pumps) {
		requireThat(until > 0 && Number.isFinite(until), fn, 'until', until, 'hours above 0');
		for (const one of at) requireThat(one >= 0 && one <= until, fn, 'at', one, `hours from 0 to ${until}`);
	}
}
