import { finiteAnswer, requireThat } from '../number';
import { compareRates, type Counted, type RateComparison } from './exactTests';

export interface FixWorked {
	/** Left out where the place has not been looked at since. */
	readonly comparison?: RateComparison;
	/** Worked: rarer since, at this level. Open: too few hours to tell. Not: as often as before, or more often. */
	readonly verdict: 'worked' | 'open' | 'not';
	/** Hours without recurrence, from the fix on, that would show it; undefined where nothing had happened before, or it has recurred. */
	readonly hoursNeeded?: number;
	readonly hoursStillNeeded?: number;
}

/**
 * Did the fix work? What happened before it and since, compared exactly, and how long it must still be quiet to show it.
 *
 * With nothing since, the chance of so quiet a time were the rate unchanged is (E₁/(E₁ + E₂))^y₁, which allows for how little is known of
 * the rate before. Units: hours. Errors: PreconditionError for counts or hours that cannot be, or a level outside (0, 1).
 * Source: J. Przyborowski, H. Wilenski, Biometrika 31 (1940) 313–323.
 *
 * @example fixWorked({ events: 3, exposure: 3000 }, { events: 0, exposure: 1000 }).hoursNeeded // 5143 h at 95 %
 */
export function fixWorked(before: Counted, since: Counted, level = 0.95): FixWorked {
	requireThat(level > 0 && level < 1, 'fixWorked', 'level', level, 'between 0 and 1');
	const alpha = 1 - level;
	const needed =
		before.events > 0 && since.events === 0 ? before.exposure * (alpha ** (-1 / before.events) - 1) : undefined;
	const wait =
		needed === undefined
			? {}
			: {
					hoursNeeded: finiteAnswer('fixWorked', needed),
					hoursStillNeeded: Math.max(0, needed - since.exposure)
				};
	// Nobody has looked since: how long it must be quiet is all that can be said.
	if (since.exposure === 0 && since.events === 0) return { verdict: 'open', ...wait };
	const comparison = compareRates(since, before, level);
	const rarer = (comparison.ratio ?? 1) < 1;
	// One-sided: a fix is expected to make it rarer.
	const p = rarer ? comparison.p / 2 : 1;
	return {
		comparison,
		verdict: rarer && p <= alpha ? 'worked' : !rarer && since.events > 0 ? 'not' : 'open',
		...wait
	};
}
