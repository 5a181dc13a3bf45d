import { minimise, requireThat } from '../number';

/**
 * How one part's life stood against all ends but its measured wear: it held for `held` hours, and where it ended, it did so
 * between then and `endedBy`. Lives ended by wear, renewed while good or still running hold to their last hour, no more.
 */
export interface OtherLife {
	readonly held: number;
	readonly endedBy?: number;
}

/** What else ends the lives of such parts, besides measured wear. Scale in hours, rates per hour of running. */
export type OtherEnds =
	| {
			readonly kind: 'weibull';
			readonly shape: number;
			readonly scale: number;
			readonly events: number;
			readonly lives: number;
	  }
	/** Too few ends for a shape, or a fit that did not converge: a constant rate, with what it was counted from. */
	| {
			readonly kind: 'constant';
			readonly because: 'fewEvents' | 'notConverged';
			readonly events: number;
			readonly lives: number;
			readonly hours: number;
	  };

/** What was seen of parts whose age nobody knows: they tell of a rate, not of a shape. */
export interface SeenUnaged {
	readonly lives: number;
	readonly events: number;
	readonly hours: number;
}
const NONE_SEEN: SeenUnaged = { lives: 0, events: 0, hours: 0 };

/** Below this many ends no shape is fitted. */
export const FEWEST_EVENTS = 5;

/**
 * Fits the ends other than measured wear by Weibull maximum likelihood, right-censored and interval-censored lives.
 *
 * Ends found at a strip-down lie somewhere since the look before; lives ended by measured wear count as censored, so that
 * nothing is counted twice (competing risks). Newton on log scale and log shape. Below five ends, and where the search does
 * not converge, a constant rate takes its place and says so; never a silent default.
 * Shape: one entry a life of known age; `seen` counts the others, which a constant rate takes in.
 * Errors: PreconditionError for no hours at all, negative hours, or an end before it held.
 * Source: W. Meeker, L. Escobar, Statistical Methods for Reliability Data (1998), 7.3 and 15.2.
 */
export function fitOtherEnds(lives: readonly OtherLife[], seen: SeenUnaged = NONE_SEEN): OtherEnds {
	for (const { held, endedBy } of lives) {
		requireThat(held >= 0 && Number.isFinite(held), 'fitOtherEnds', 'held', held, 'at least 0');
		if (endedBy !== undefined) requireThat(endedBy > held, 'fitOtherEnds', 'endedBy', endedBy, `above ${held}`);
	}
	const ended = lives.filter(({ endedBy }) => endedBy !== undefined);
	const hours = lives.reduce(
		(sum, { held, endedBy }) => sum + (endedBy === undefined ? held : (held + endedBy) / 2),
		0
	);
	const allHours = hours + seen.hours;
	requireThat(allHours > 0, 'fitOtherEnds', 'lives', 'without hours', 'some hours run');
	const constant = (because: 'fewEvents' | 'notConverged'): OtherEnds => ({
		kind: 'constant',
		because,
		events: ended.length + seen.events,
		lives: lives.length + seen.lives,
		hours: allHours
	});
	if (ended.length < FEWEST_EVENTS) return constant('fewEvents');
	const unit = hours / ended.length; // times of order one
	const minusLogLikelihood = ([logScale, logShape]: readonly number[]) => {
		const cumulative = (t: number) => (t / unit / Math.exp(logScale)) ** Math.exp(logShape);
		return lives.reduce((sum, { held, endedBy }) => {
			if (endedBy === undefined) return sum + cumulative(held);
			// ln(S(a) − S(b)) = −H(a) + ln(1 − exp(−(H(b) − H(a))))
			return sum + cumulative(held) - Math.log(-Math.expm1(cumulative(held) - cumulative(endedBy)));
		}, 0);
	};
	const found = minimise(minusLogLikelihood, [0, 0]);
	if (found.kind === 'notConverged') return constant('notConverged');
	const [scale, shape] = found.at.map(Math.exp);
	return { kind: 'weibull', shape, scale: scale * unit, events: ended.length, lives: lives.length };
}

/**
 * P(T ≤ hours + further | T > hours): the chance that such an end comes within further hours, having held so far.
 *
 * Weibull: 1 − exp(H(t) − H(t + h)). Constant rate: the posterior predictive 1 − (T/(T + h))^(r + ½) of r ends in T hours
 * with Jeffreys' prior, so no ends on record does not mean no chance. Units: hours.
 * Errors: PreconditionError for hours below 0. Source: Meeker & Escobar 1998, 2.1; H. Jeffreys' prior for a Poisson rate.
 */
export function chanceOfOtherEnd(ends: OtherEnds, hours: number, further: number): number {
	requireThat(hours >= 0 && Number.isFinite(hours), 'chanceOfOtherEnd', 'hours', hours, 'at least 0');
	requireThat(further >= 0 && Number.isFinite(further), 'chanceOfOtherEnd', 'further', further, 'at least 0');
	if (ends.kind === 'constant') return -Math.expm1((ends.events + 0.5) * Math.log(ends.hours / (ends.hours + further)));
	const cumulative = (t: number) => (t / ends.scale) ** ends.shape;
	return -Math.expm1(cumulative(hours) - cumulative(hours + further));
}
