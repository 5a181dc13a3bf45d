import { normalQuantile, requireThat } from '../number';

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

function requireHistories(fn: string, pumps: readonly RepairHistory[]): void {
	for (const { until, at } of pumps) {
		requireThat(until > 0 && Number.isFinite(until), fn, 'until', until, 'hours above 0');
		for (const one of at) requireThat(one >= 0 && one <= until, fn, 'at', one, `hours from 0 to ${until}`);
	}
}
