import { gammaLn, requireThat } from '../number';
import { compareRates, type Counted, type RateComparison } from './exactTests';

export interface Spread {
	/** P(one cylinder has a share of its own, all others alike), against all cylinders alike; one half before anything is seen. */
	readonly pOne: number;
	/** The cylinder that it would most probably be: its place in the list. */
	readonly which: number;
}

/**
 * Whether all cylinders show a pattern alike, or one alone: given the total, shares by exposure against one cylinder whose share may be
 * anything. Shape: one count a cylinder. Undefined with fewer than two cylinders, or without an event.
 * Errors: PreconditionError for counts or exposures that cannot be.
 * Source: H. Jeffreys, Theory of Probability (1961), 5.1 (a share against a share given in advance).
 */
export function spreadOverCylinders(cylinders: readonly Counted[]): Spread | undefined {
	for (const { events, exposure } of cylinders) {
		requireThat(Number.isInteger(events) && events >= 0, 'spreadOverCylinders', 'events', events, 'a count');
		requireThat(exposure > 0 && exposure <= 1e12, 'spreadOverCylinders', 'exposure', exposure, 'above 0');
	}
	const n = cylinders.reduce((sum, count) => sum + count.events, 0);
	const hours = cylinders.reduce((sum, count) => sum + count.exposure, 0);
	if (cylinders.length < 2 || n === 0) return undefined;
	// Bayes factor of "this one" against "alike": its binomial term alone differs, the others' shares among themselves do not.
	const factors = cylinders.map(({ events, exposure }) => {
		const share = exposure / hours;
		const choose = gammaLn(n + 1) - gammaLn(events + 1) - gammaLn(n - events + 1);
		return Math.exp(-Math.log(n + 1) - choose - events * Math.log(share) - (n - events) * Math.log1p(-share));
	});
	const odds = factors.reduce((sum, factor) => sum + factor, 0) / cylinders.length;
	return {
		pOne: Number.isFinite(odds) ? odds / (1 + odds) : 1,
		which: factors.indexOf(Math.max(...factors))
	};
}

/** An inspection with the moment at which its hours ended. */
interface DatedInspection {
	readonly receivedAt: Date;
	readonly hours: number;
	readonly found: boolean;
}

/** Months of the year, from 0, on one side of a comparison. */
export const SUMMER: readonly number[] = [5, 6, 7, 8];

/**
 * How often something comes up in inspections of these months against those of the others. The hours of an inspection end with it, and are counted where
 * they end. Undefined where either side has no hours.
 */
export function bySeason(inspections: readonly DatedInspection[], months = SUMMER): RateComparison | undefined {
	const count = (side: boolean): Counted => {
		const some = inspections.filter(({ receivedAt }) => months.includes(receivedAt.getUTCMonth()) === side);
		return {
			events: some.filter(({ found }) => found).length,
			exposure: some.reduce((sum, { hours }) => sum + hours, 0)
		};
	};
	const [within, without] = [count(true), count(false)];
	return within.exposure > 0 && without.exposure > 0 ? compareRates(within, without) : undefined;
}
