import { normalQuantile, requireThat } from '../number';

/** One pump's repairs or replacements, in its hours, watched from 0 to `until`. */
interface RepairHistory {
	readonly until: number;
	readonly at: readonly number[];
}

/** Replacements per pump up to these hours. */
interface CumulativeStep {
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
	const repairs = pumps
		.flatMap(({ at }, pump) => at.map((hours) => ({ hours, pump })))
		.sort((a, b) => a.hours - b.hours);
	const ends = Float64Array.from(pumps, ({ until }) => until);
	const inOrder = ends.toSorted();
	const ownSums = new Float64Array(pumps.length);
	const steps: CumulativeStep[] = [];
	let mean = 0;
	for (let next = 0, ended = 0; next < repairs.length;) {
		const now = repairs[next].hours;
		while (inOrder[ended] < now) ended++;
		const watched = pumps.length - ended;
		const from = next;
		while (next < repairs.length && repairs[next].hours === now) next++;
		const rise = (next - from) / watched;
		mean += rise;
		for (let i = from; i < next; i++) ownSums[repairs[i].pump] += 1 / watched;
		let squares = 0;
		for (let pump = 0; pump < ends.length; pump++) {
			if (ends[pump] >= now) ownSums[pump] -= rise / watched;
			squares += ownSums[pump] * ownSums[pump];
		}
		// On the logarithm, so that no limit falls below nought.
		const spread = Math.exp((z * Math.sqrt(squares)) / mean);
		steps.push({ hours: now, pumps: watched, mean, low: mean / spread, high: mean * spread });
	}
	return steps;
}

function requireHistories(fn: string, pumps: readonly RepairHistory[]): void {
	for (const { until, at } of pumps) {
		requireThat(until > 0 && Number.isFinite(until), fn, 'until', until, 'hours above 0');
		for (const value of at) requireThat(value >= 0 && value <= until, fn, 'at', value, `hours from 0 to ${until}`);
	}
}
