import { normalQuantile, requireThat } from '../number';

/** A life whose end, if it ended, is known to the hour. */
export interface ExactLife {
	readonly hours: number;
	readonly ended: boolean;
}

/** One step of a survival or hazard curve. */
export interface Step {
	readonly hours: number;
	/** Lives that were still running just before. */
	readonly atRisk: number;
	readonly ended: number;
	/** Kaplan–Meier survival after the step, with pointwise limits; Greenwood's standard uncertainty. */
	readonly survival: number;
	readonly u: number;
	readonly low: number;
	readonly high: number;
	/** Nelson–Aalen cumulative hazard, and its standard uncertainty. */
	readonly hazard: number;
	readonly uHazard: number;
}

const LEVEL = 0.95;

/**
 * Kaplan–Meier survival with Greenwood's variance and limits on ln(−ln S), and Nelson–Aalen's cumulative hazard, step by step.
 *
 * Lives that only held to an hour count as running there: ends come before them. Where the last one ended nothing is left and
 * the limits are the whole range. Units: hours ≥ 0. Errors: PreconditionError for hours not finite or below 0.
 * Source: E. Kaplan, P. Meier, J. Am. Stat. Assoc. 53 (1958) 457–481; J. Kalbfleisch, R. Prentice, The Statistical Analysis of
 * Failure Time Data (2002), 1.4; O. Aalen, Annals of Statistics 6 (1978) 701–726.
 */
export function stepCurves(lives: readonly ExactLife[], level = LEVEL): Step[] {
	for (const { hours } of lives)
		requireThat(hours >= 0 && Number.isFinite(hours), 'stepCurves', 'hours', hours, 'at least 0');
	requireThat(level > 0 && level < 1, 'stepCurves', 'level', level, 'between 0 and 1');
	const z = normalQuantile((1 + level) / 2);
	const sorted = lives.toSorted((a, b) => a.hours - b.hours);
	const steps: Step[] = [];
	let [survival, greenwood, hazard, aalen] = [1, 0, 0, 0];
	for (let i = 0; i < sorted.length;) {
		const { hours } = sorted[i];
		const atRisk = sorted.length - i;
		let ended = 0;
		for (; i < sorted.length && sorted[i].hours === hours; i++) if (sorted[i].ended) ended++;
		if (ended === 0) continue;
		survival *= 1 - ended / atRisk;
		greenwood += ended / (atRisk * (atRisk - ended));
		hazard += ended / atRisk;
		aalen += ended / atRisk ** 2;
		steps.push({
			hours,
			atRisk,
			ended,
			survival,
			...greenwoodLimits(survival, greenwood, z),
			hazard,
			uHazard: Math.sqrt(aalen)
		});
	}
	return steps;
}

function greenwoodLimits(survival: number, greenwood: number, z: number): { u: number; low: number; high: number } {
	if (survival <= 0) return { u: 0, low: 0, high: 1 };
	const u = survival * Math.sqrt(greenwood);
	const spread = Math.exp((z * Math.sqrt(greenwood)) / Math.log(survival));
	return { u, low: survival ** (1 / spread), high: survival ** spread };
}
