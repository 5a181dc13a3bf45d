import { betaUpper, gammaLn, integrate, minimise, normalCdf, requireThat } from '../number';
import type { Forecast, Outlook } from './forecast';

/**
 * Wear as a gamma process whose rate differs from part to part: over shape-time Δη an increment is Gamma(Δη, ν), and
 * each part's ν is drawn once from Gamma(rateShape, rateScale) (shape, rate).
 * Source: J. Lawless, M. Crowder, Lifetime Data Anal. 10 (2004) 213–227.
 */
export interface GammaProcess {
	/** Shape-time per hour: large means steady wear, small means wear by jumps. */
	readonly shapePerHour: number;
	/** δ: how alike the parts are; their rates' coefficient of variation is 1/√δ. */
	readonly rateShape: number;
	/** γ, in the unit of wear. */
	readonly rateScale: number;
}

/**
 * The process that a model sheet's prior stands for: mean growth in 1000 h, and how it scatters between parts and, on one
 * part, between intervals of 1000 h (both as standard deviation over mean).
 *
 * Since 1/ν is inverse gamma, the scatter between parts is 1/√(δ − 2), and within a part 1/√(1000·shapePerHour).
 * Errors: PreconditionError for values not above 0.
 */
export function processOfPrior(prior: {
	readonly per1000h: number;
	readonly betweenParts: number;
	readonly within1000h: number;
}): GammaProcess {
	for (const [name, value] of Object.entries(prior))
		requireThat(value > 0 && Number.isFinite(value), 'processOfPrior', name, value, 'above 0');
	const shapePerHour = 1 / (1000 * prior.within1000h ** 2);
	const rateShape = 2 + 1 / prior.betweenParts ** 2;
	return { shapePerHour, rateShape, rateScale: (prior.per1000h / 1000) * ((rateShape - 1) / shapePerHour) };
}

/** One part's wear between looks: hours and growth of each interval, in the unit of the characteristic. */
export interface WearHistory {
	readonly intervals: readonly { readonly hours: number; readonly growth: number }[];
}

export type FittedProcess =
	| { readonly kind: 'fitted'; readonly process: GammaProcess; readonly parts: number }
	| { readonly kind: 'tooFew'; readonly parts: number }
	| { readonly kind: 'notConverged'; readonly reason: string; readonly parts: number };

/** Below this many parts with wear on record the fleet says too little: the sheet's prior is used, and said. */
export const FEWEST_PARTS = 5;

function requireProcess(fn: string, { shapePerHour, rateShape, rateScale }: GammaProcess): void {
	for (const [name, value] of Object.entries({ shapePerHour, rateShape, rateScale })) {
		requireThat(value > 0 && Number.isFinite(value), fn, name, value, 'above 0');
	}
}

/** Mean wear per hour of the kind: shapePerHour·γ/(δ − 1), for δ > 1 (else the mean does not exist: Infinity). */
export const meanRate = ({ shapePerHour, rateShape, rateScale }: GammaProcess): number =>
	rateShape > 1 ? (shapePerHour * rateScale) / (rateShape - 1) : Infinity;

/**
 * P(wear beyond the allowance after more hours | wear now known exactly).
 *
 * The further growth X has X/(X + γ + w) ~ Beta(Δη, δ + η), so the part's own history (w, η) and the fleet's (δ, γ)
 * are both in it. Units: hours; wear as rateScale. `hours` 0 with wear 0 is a new part.
 * Errors: PreconditionError for negative hours or wear, an allowance not above 0, or a process that is none.
 * Accuracy: that of `betaUpper`. Source: Lawless & Crowder 2004, section 3.
 */
export function passesLimit(
	process: GammaProcess,
	now: { worn: number; hours: number; allowance: number },
	further: number
): number {
	requireProcess('passesLimit', process);
	const { worn, hours, allowance } = now;
	requireThat(hours >= 0 && Number.isFinite(hours), 'passesLimit', 'hours', hours, 'at least 0');
	requireThat(further >= 0 && Number.isFinite(further), 'passesLimit', 'further', further, 'at least 0');
	requireThat(worn >= 0 && Number.isFinite(worn), 'passesLimit', 'worn', worn, 'at least 0');
	requireThat(allowance > 0 && Number.isFinite(allowance), 'passesLimit', 'allowance', allowance, 'above 0');
	if (worn >= allowance) return 1;
	if (further === 0) return 0;
	const { shapePerHour, rateShape, rateScale } = process;
	const left = allowance - worn;
	return betaUpper(left / (left + rateScale + worn), shapePerHour * further, rateShape + shapePerHour * hours);
}

/**
 * The chance of passing the limit within more hours, over what the measurement leaves open about the wear now.
 *
 * The wear now is normal about `worn` with `u`, cut off at 0 (wear cannot be negative). Integrated by quadrature up to
 * the limit, beyond which the chance is 1; the limit is the integral's end, so its kink costs no accuracy.
 * Accuracy: 1e-8. Errors: as `passesLimit`; PreconditionError for u < 0.
 */
export function chanceOfPassing(
	process: GammaProcess,
	now: { worn: number; u: number; hours: number; allowance: number },
	further: number
): number {
	const { worn, u, hours, allowance } = now;
	requireThat(u >= 0 && Number.isFinite(u), 'chanceOfPassing', 'u', u, 'at least 0');
	requireThat(Number.isFinite(worn), 'chanceOfPassing', 'worn', worn, 'a finite number');
	if (u === 0) return passesLimit(process, { worn: Math.max(0, worn), hours, allowance }, further);
	const from = Math.max(0, worn - SPREADS * u);
	const to = Math.min(allowance, worn + SPREADS * u);
	const positive = normalCdf(worn / u);
	// So far below zero that the cut leaves nothing to integrate over: the wear is 0.
	if (positive < 1e-12) return passesLimit(process, { worn: 0, hours, allowance }, further);
	const density = (w: number) => Math.exp(-(((w - worn) / u) ** 2) / 2) / (u * Math.sqrt(2 * Math.PI));
	const below =
		from < to
			? integrate((w) => density(w) * passesLimit(process, { worn: w, hours, allowance }, further), from, to)
			: 0;
	return Math.min(1, (below + normalCdf((worn - allowance) / u)) / positive);
}
const SPREADS = 6; // beyond it lies 1e-9 of the bell

/** The forecast of a part by a process, with what that rests on; what is expected is the mean of its own posterior rate. */
export const byGammaProcess =
	(process: GammaProcess, basis: Outlook['basis']): Forecast =>
	({ worn, u, allowance, hours }, intervalHours) => {
		requireProcess('byGammaProcess', process);
		const { shapePerHour, rateShape, rateScale } = process;
		const known = Math.max(0, worn);
		// ν | history ~ Gamma(δ + η, γ + w): E[1/ν] = (γ + w)/(δ + η − 1), Var from the same inverse gamma.
		const shape = rateShape + shapePerHour * hours;
		const further = shapePerHour * intervalHours;
		const meanInverse = shape > 1 ? (rateScale + known) / (shape - 1) : Infinity;
		const growth = further * meanInverse;
		const squares = shape > 2 ? (rateScale + known) ** 2 / ((shape - 1) * (shape - 2)) : Infinity;
		const variance = further * squares + further ** 2 * (squares - meanInverse ** 2);
		return {
			expected: worn + growth,
			u: Math.hypot(u, Math.sqrt(Math.max(0, variance))),
			probability: chanceOfPassing(process, { worn, u, hours, allowance }, intervalHours),
			ratePer1000h: shapePerHour * meanInverse * 1000,
			basis
		};
	};

/**
 * Fits the process to the fleet's wear on record, by maximum marginal likelihood over the parts' rates.
 *
 * Each part contributes Π x^(Δη−1)/Γ(Δη) · γ^δ Γ(δ+η) / (Γ(δ) (γ+w)^(δ+η)), with η, w the sums over its intervals.
 * Growth below `resolution` (what the gauge cannot tell from nothing) is joined with the part's next interval, since a
 * gamma increment is positive; what stays below it at the end is left out.
 * Shape: one history a part. Errors: PreconditionError for hours not above 0 or growth not finite.
 * Says so where there are fewer than five parts, or where the search does not converge: never a silent default.
 */
export function fitGammaProcess(histories: readonly WearHistory[], resolution: number): FittedProcess {
	requireThat(resolution > 0, 'fitGammaProcess', 'resolution', resolution, 'above 0');
	const parts = histories
		.map(({ intervals }) => joinSmall(intervals, resolution))
		.filter((intervals) => intervals.length > 0);
	if (parts.length < FEWEST_PARTS) return { kind: 'tooFew', parts: parts.length };
	const total = (of: (interval: { hours: number; growth: number }) => number) =>
		parts.flat().reduce((sum, interval) => sum + of(interval), 0);
	const scale = total(({ growth }) => growth) / parts.flat().length; // growth in units of its mean keeps parameters of order one
	const hoursScale = total(({ hours }) => hours) / parts.flat().length;
	const scaled = parts.map((intervals) =>
		intervals.map(({ hours, growth }) => ({ hours: hours / hoursScale, growth: growth / scale }))
	);
	const minusLogLikelihood = ([logA, logDelta, logGamma]: readonly number[]) => {
		const [a, delta, gamma] = [Math.exp(logA), Math.exp(logDelta), Math.exp(logGamma)];
		return -scaled.reduce((sum, intervals) => sum + logLikelihood(intervals, a, delta, gamma), 0) + flatness(logDelta);
	};
	const found = minimise(minusLogLikelihood, [Math.log(3), Math.log(5), Math.log(5 / 3)]);
	if (found.kind === 'notConverged') return { kind: 'notConverged', reason: found.reason, parts: parts.length };
	const [a, delta, gamma] = found.at.map(Math.exp);
	return {
		kind: 'fitted',
		process: { shapePerHour: a / hoursScale, rateShape: delta, rateScale: gamma * scale },
		parts: parts.length
	};
}

// Parts that are all alike drive δ to infinity; beyond 100 (rates within 10 %) a faint pull holds it back.
const flatness = (logDelta: number): number => 1e-3 * Math.max(0, logDelta - Math.log(100)) ** 2;

function logLikelihood(
	intervals: readonly { hours: number; growth: number }[],
	a: number,
	delta: number,
	gamma: number
): number {
	let eta = 0;
	let worn = 0;
	let sum = 0;
	for (const { hours, growth } of intervals) {
		const shape = a * hours;
		sum += (shape - 1) * Math.log(growth) - gammaLn(shape);
		eta += shape;
		worn += growth;
	}
	return sum + delta * Math.log(gamma) - gammaLn(delta) + gammaLn(delta + eta) - (delta + eta) * Math.log(gamma + worn);
}

function joinSmall(intervals: WearHistory['intervals'], resolution: number): { hours: number; growth: number }[] {
	const joined: { hours: number; growth: number }[] = [];
	let hours = 0;
	let growth = 0;
	for (const interval of intervals) {
		requireThat(
			interval.hours > 0 && Number.isFinite(interval.hours),
			'fitGammaProcess',
			'hours',
			interval.hours,
			'above 0'
		);
		requireThat(Number.isFinite(interval.growth), 'fitGammaProcess', 'growth', interval.growth, 'a finite number');
		hours += interval.hours;
		growth += interval.growth;
		if (growth > resolution) {
			joined.push({ hours, growth });
			hours = growth = 0;
		}
	}
	return joined;
}
