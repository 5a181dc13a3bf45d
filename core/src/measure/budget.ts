import { requireThat, sampleVariance, studentQuantile } from '../number';
import { OVERDUE_FACTOR, type GaugeFacts } from './gauge';
import { thermalUncertainty, type ThermalConditions } from './temperature';

export type ContributionSource = 'repeatability' | 'resolution' | 'calibration' | 'temperature' | 'reproducibility';

/** One line of an uncertainty budget: standard uncertainty in the measurand's unit, with its degrees of freedom. */
export interface Contribution {
	readonly source: ContributionSource;
	readonly u: number;
	readonly dof: number;
}

export interface Budget {
	readonly contributions: readonly Contribution[];
	/** Combined standard uncertainty and its effective degrees of freedom. */
	readonly u: number;
	readonly dof: number;
	/** Expanded uncertainty at 95 % with its coverage factor k = t(0.975, dof). */
	readonly U: number;
	readonly k: number;
}

export const ASSUMED_TEMPERATURE_HALF_WIDTH_K = 2; // where a temperature was not written down: a bench, after an hour
export const COVERAGE = 0.95;
const OWN_SCATTER_FROM = 4; // readings; below this the gauge study's pooled scatter is the better estimate

/**
 * Effective degrees of freedom of a combined standard uncertainty (Welch–Satterthwaite).
 *
 * Shape: one entry per uncorrelated contribution, any order, at least one.
 * Units: each `u` in the measurand's unit, sensitivity coefficient already applied;
 *   the result is a number in (0, ∞], not rounded down.
 * Errors: PreconditionError if empty, if any `u` is not finite and ≥ 0, if all are 0, or if any `dof` is not > 0.
 * Accuracy: rounding only; powers are taken of u/u_c, so tiny or huge units neither under- nor overflow.
 * Source: JCGM 100:2008 (GUM), G.4.1, eq. (G.2b).
 *
 * @example effectiveDof([{ u: 3, dof: 4 }, { u: 4, dof: Infinity }]) // 30.8642 (= 625 / 20.25)
 */
export function effectiveDof(parts: readonly { readonly u: number; readonly dof: number }[]): number {
	for (const { u, dof } of parts) {
		requireThat(u >= 0 && Number.isFinite(u), 'effectiveDof', 'u', u, 'finite and at least 0');
		requireThat(dof > 0, 'effectiveDof', 'dof', dof, 'above 0');
	}
	const combined = Math.hypot(...parts.map(({ u }) => u));
	requireThat(combined > 0, 'effectiveDof', 'u', 0, 'at least one contribution above 0');
	const denominator = parts.reduce((sum, { u, dof }) => sum + (u / combined) ** 4 / dof, 0);
	return denominator === 0 ? Infinity : 1 / denominator;
}

/**
 * Combines contributions into a budget: u_c = √Σu², Welch–Satterthwaite, U = t(0.975, ν_eff)·u_c.
 *
 * Errors: as `effectiveDof`. Source: JCGM 100:2008, 5.1.2 and G.6.4.
 */
export function combine(contributions: readonly Contribution[]): Budget {
	const dof = effectiveDof(contributions);
	const u = Math.hypot(...contributions.map((line) => line.u));
	const k = studentQuantile((1 + COVERAGE) / 2, dof);
	return { contributions, u, dof, U: k * u, k };
}

export interface BudgetInput {
	/** Repeated readings of one point, in the base unit, at least one. */
	readonly readings: readonly number[];
	readonly gauge: GaugeFacts;
	/** Undefined where length does not follow temperature (hardness, force) or expansion is not known. */
	readonly thermal?: ThermalConditions;
	/** Half width of what is known about the part's temperature, K, and about the gauge's where that is known less well. */
	readonly temperatureHalfWidthK?: number;
	readonly gaugeHalfWidthK?: number;
}

function repeatability({ readings, gauge }: BudgetInput): Contribution {
	const n = readings.length;
	if (n >= OWN_SCATTER_FROM) {
		const own = Math.sqrt(sampleVariance(readings));
		// Equal readings on a coarse display prove little: the resolution line below carries them.
		return { source: 'repeatability', u: own / Math.sqrt(n), dof: n - 1 };
	}
	return { source: 'repeatability', u: gauge.repeatability / Math.sqrt(n), dof: gauge.repeatabilityDof };
}

/**
 * Uncertainty budget of the mean of repeated readings taken with one gauge.
 *
 * Repeatability s/√n (the readings' own s from four readings on, else the pooled s of the gauge study), resolution
 * a/(2√3), calibration U/k (twice that when overdue), temperature (rectangular), reproducibility between technicians.
 * Resolution, calibration and temperature count as exactly known (infinite degrees of freedom).
 *
 * Units: base unit of the measurand. Errors: PreconditionError where no reading, or one that is not finite.
 * Source: JCGM 100:2008, 4.2, 4.3 and F.2.2.1.
 */
export function budgetOf(input: BudgetInput): Budget {
	const { readings, gauge, thermal } = input;
	requireThat(
		readings.length > 0 && readings.every(Number.isFinite),
		'budgetOf',
		'readings',
		readings,
		'at least one finite reading'
	);
	const { calibrationK } = gauge;
	requireThat(calibrationK > 0 && Number.isFinite(calibrationK), 'budgetOf', 'calibrationK', calibrationK, 'above 0');
	requireThat(gauge.resolution > 0, 'budgetOf', 'resolution', gauge.resolution, 'above 0');
	const calibration = (gauge.calibrationU / gauge.calibrationK) * (gauge.overdue ? OVERDUE_FACTOR : 1);
	const lines: Contribution[] = [
		repeatability(input),
		{ source: 'resolution', u: gauge.resolution / (2 * Math.sqrt(3)), dof: Infinity },
		{ source: 'calibration', u: calibration, dof: Infinity }
	];
	if (thermal) {
		const halfWidth = input.temperatureHalfWidthK ?? ASSUMED_TEMPERATURE_HALF_WIDTH_K;
		const size = Math.max(...readings.map(Math.abs));
		lines.push({
			source: 'temperature',
			u: thermalUncertainty(size, thermal, halfWidth, input.gaugeHalfWidthK),
			dof: Infinity
		});
	}
	lines.push({ source: 'reproducibility', u: gauge.reproducibility, dof: Infinity });
	return combine(lines.filter((line) => line.u !== 0));
}

/** The line with the largest share of the variance, and that share in (0, 1]. */
export function dominantLine(budget: Budget): { readonly line: Contribution; readonly share: number } {
	const { u } = combine(budget.contributions);
	const line = budget.contributions.reduce((largest, other) => (other.u > largest.u ? other : largest));
	return { line, share: (line.u / u) ** 2 };
}
