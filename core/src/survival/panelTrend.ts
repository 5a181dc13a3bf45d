import { highestAt, requireThat, studentCdf, studentQuantile } from '../number';
import type { Estimate } from './weibullLimits';

/** One pump's rebuilds in its own hours, the first of them that at which it came under watch, and what was replaced at each later one. */
export interface PanelHistory {
	readonly visits: readonly number[];
	/** One count a visit, but for the first. */
	readonly replaced: readonly number[];
}

export interface RepairTrend {
	readonly events: number;
	/** Exponent of the power law: below 1 the pumps get better, above 1 worse. Left out where fewer than three pumps tell of it. */
	readonly exponent?: Estimate;
	/** Two-sided, of a steady rate. */
	readonly pSteady?: number;
}

const LEVEL = 0.95;
const FEWEST_PUMPS = 3;
const LOWEST = Math.log(0.02);
const HIGHEST = Math.log(20);
const STEP = 1e-3;
const MOST_SHARE = 0.9;

/**
 * Whether pumps get better or worse as they run, from how much was replaced between one rebuild and the next.
 *
 * A power law in the pump's own hours, common to all, each at a rate of its own: given a pump's count, that of each interval is in
 * proportion to bᵝ − aᵝ. Replacements are only seen at rebuilds, and a pump may have come under watch late: neither moves the
 * exponent. What is replaced at one rebuild hangs together: the limits are from how the pumps differ among each other, never
 * narrower than a Poisson count's (sandwich with each pump's leverage; Student's distribution with one less than their number).
 *
 * Units: hours. Errors: PreconditionError for visits that do not rise, or counts that are none.
 * Source: J. Kalbfleisch, J. Lawless, J. Am. Stat. Assoc. 80 (1985) 863–871 (panel data); J. Lawless, C. Nadeau, Technometrics 37
 * (1995) 158–168 (robust limits); R. Bell, D. McCaffrey, Survey Methodology 28 (2002) 169–181 (leverage).
 *
 * @example repairTrend([{ visits: [0, 1000, 2000], replaced: [2, 4] }, …]) // exponent above 1: more in the second half
 */
export function repairTrend(pumps: readonly PanelHistory[], level = LEVEL): RepairTrend {
	requirePanel(pumps);
	requireThat(level > 0 && level < 1, 'repairTrend', 'level', level, 'between 0 and 1');
	const events = pumps.reduce((sum, { replaced }) => sum + replaced.reduce((own, count) => own + count, 0), 0);
	// One interval, or no event, says nothing of when.
	const telling = pumps.filter(({ replaced }) => replaced.length > 1 && replaced.some((count) => count > 0));
	if (telling.length < FEWEST_PUMPS) return { events };
	const whole = (log: number) => telling.reduce((sum, pump) => sum + logLikelihood(pump, log), 0);
	const best = highestAt(whole, LOWEST, HIGHEST, 1e-9);
	const each = telling.map((pump) => {
		const [below, here, above] = [best - STEP, best, best + STEP].map((log) => logLikelihood(pump, log));
		return { score: (above - below) / (2 * STEP), information: -(above - 2 * here + below) / STEP ** 2 };
	});
	const information = each.reduce((sum, stratum) => sum + stratum.information, 0);
	if (!(information > 0) || best < LOWEST + 0.01 || best > HIGHEST - 0.01) return { events };
	const dof = telling.length - 1;
	// A pump that weighs much has drawn the exponent to itself: its own score is set right by its share (CR3).
	const between = each.reduce((sum, stratum) => {
		const share = Math.min(MOST_SHARE, Math.max(0, stratum.information / information));
		return sum + (stratum.score / (1 - share)) ** 2;
	}, 0);
	const u = Math.max(Math.sqrt(between) / information, 1 / Math.sqrt(information));
	const reach = studentQuantile((1 + level) / 2, dof) * u;
	return {
		events,
		exponent: { value: Math.exp(best), low: Math.exp(best - reach), high: Math.exp(best + reach) },
		pSteady: u > 0 ? Math.min(1, 2 * studentCdf(-Math.abs(best) / u, dof)) : best === 0 ? 1 : 0
	};
}

// Given the pump's own count, at the logarithm of the exponent.
function logLikelihood({ visits, replaced }: PanelHistory, log: number): number {
	const exponent = Math.exp(log);
	const last = visits.at(-1)!;
	const upTo = visits.map((hours) => (hours / last) ** exponent);
	const all = Math.log(1 - upTo[0]);
	return replaced.reduce(
		(sum, count, i) => (count === 0 ? sum : sum + count * (Math.log(upTo[i + 1] - upTo[i]) - all)),
		0
	);
}

const MOST_HOURS = 1e7;

function requirePanel(pumps: readonly PanelHistory[]): void {
	for (const { visits, replaced } of pumps) {
		requireThat(visits.length > 0, 'repairTrend', 'visits', 'none', 'at least one');
		requireThat(
			replaced.length === visits.length - 1,
			'repairTrend',
			'replaced',
			replaced.length,
			`${visits.length - 1} counts`
		);
		for (const [i, hours] of visits.entries())
			requireThat(
				hours >= 0 && hours <= MOST_HOURS && (i === 0 || hours > visits[i - 1] * (1 + 1e-9)),
				'repairTrend',
				'visits',
				hours,
				'hours that rise'
			);
		for (const count of replaced)
			requireThat(Number.isInteger(count) && count >= 0 && count <= 1e6, 'repairTrend', 'replaced', count, 'a count');
	}
}
