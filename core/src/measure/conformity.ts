import { requireThat, studentCdf } from '../number';

/** Discard limits in the measurand's unit; a side left out does not limit. */
export interface Limit {
	readonly min?: number;
	readonly max?: number;
}

/** A measured value with the standard uncertainty of its combined budget. */
export interface MeasuredValue {
	readonly value: number;
	readonly u: number;
	readonly dof: number;
}

type Zone = 'inside' | 'tooClose' | 'beyond';

/** The shop's two risks: of accepting a part that is beyond its limit, and of scrapping one that is inside. */
export interface RiskPolicy {
	readonly acceptBad: number;
	readonly scrapGood: number;
}

export interface Conformity {
	/** P(true value beyond a limit | the measurement). */
	readonly probabilityBeyond: number;
	readonly zone: Zone;
}

function requireLimit(fn: string, limit: Limit): void {
	const { min = -Infinity, max = Infinity } = limit;
	requireThat(limit.min !== undefined || limit.max !== undefined, fn, 'limit', 'empty', 'min, max or both');
	requireThat(min < max, fn, 'limit', `${min} … ${max}`, 'min below max');
}

/**
 * Probability that the true value lies beyond the limit, given the measured value.
 *
 * Student's t about the measured value with the budget's effective degrees of freedom; no prior beyond the readings.
 * Units: as the limit. Errors: PreconditionError where u or dof is not above 0, the limit is empty or upside down.
 * Source: JCGM 106:2012, 7.2–7.4, with the t distribution of 7.3.3 for few readings.
 *
 * @example probabilityBeyond({ value: 17.96, u: 0.005, dof: Infinity }, { min: 17.95 }) // 0.02275
 */
export function probabilityBeyond({ value, u, dof }: MeasuredValue, limit: Limit): number {
	requireLimit('probabilityBeyond', limit);
	requireThat(Number.isFinite(value), 'probabilityBeyond', 'value', value, 'a finite number');
	requireThat(u > 0 && Number.isFinite(u), 'probabilityBeyond', 'u', u, 'above 0');
	const below = limit.min === undefined ? 0 : studentCdf((limit.min - value) / u, dof);
	const above = limit.max === undefined ? 0 : studentCdf((value - limit.max) / u, dof);
	return Math.min(1, below + above);
}

/**
 * Decides a measured value against its limit by the two risks, whichever sides are limited.
 *
 * Inside: the risk of accepting a bad part is at most `acceptBad`. Beyond: the risk of scrapping a good one is at most
 * `scrapGood`. Otherwise too close to call. A display rounds the same way at every reading, so either verdict keeps a further
 * `halfStep` of it off the limit: limits lie on such steps, and without it the risks are up to 7 % where 5 % is asked.
 *
 * Errors: as `probabilityBeyond`; PreconditionError for risks outside (0, 1) or together 1 and more, which would let
 * one measurement be both.
 * Source: JCGM 106:2012, 8.3 (guarded acceptance and rejection).
 */
export function conformity(measured: MeasuredValue, limit: Limit, policy: RiskPolicy, halfStep = 0): Conformity {
	const { acceptBad, scrapGood } = policy;
	requireThat(acceptBad > 0 && acceptBad < 1, 'conformity', 'acceptBad', acceptBad, 'between 0 and 1');
	requireThat(scrapGood > 0 && scrapGood < 1, 'conformity', 'scrapGood', scrapGood, 'between 0 and 1');
	requireThat(acceptBad + scrapGood < 1, 'conformity', 'acceptBad + scrapGood', acceptBad + scrapGood, 'below 1');
	requireThat(halfStep >= 0 && Number.isFinite(halfStep), 'conformity', 'halfStep', halfStep, 'at least 0');
	const p = probabilityBeyond(measured, limit);
	const narrow = moved(limit, -halfStep);
	const inside = narrow !== undefined && probabilityBeyond(measured, narrow) <= acceptBad;
	const beyond = probabilityBeyond(measured, moved(limit, halfStep)!) >= 1 - scrapGood;
	return { probabilityBeyond: p, zone: inside ? 'inside' : beyond ? 'beyond' : 'tooClose' };
}

// Both limits so far outwards; undefined where, moved inwards, they have met.
function moved({ min, max }: Limit, by: number): Limit | undefined {
	const limit = { ...(min === undefined ? {} : { min: min - by }), ...(max === undefined ? {} : { max: max + by }) };
	return (limit.min ?? -Infinity) < (limit.max ?? Infinity) ? limit : undefined;
}
