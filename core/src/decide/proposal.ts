import { requireThat } from '../number';
import type { Verdict } from '../record';
import type { RenewalPolicy } from './policy';
import type { DecidedPart } from './whole';

/** What a policy makes of a whole pump. */
export interface Proposal {
	/** How many parts have each verdict: a decision where there is one, else what the policy proposes. */
	readonly count: Readonly<Record<Verdict | 'open', number>>;
	/** The parts that are most likely to stop the pump before the next service, the likeliest first, with that chance (0 to 1). */
	readonly riskiest: readonly { readonly id: string; readonly stop: number }[];
}

/**
 * Sums up a decided set under one policy: how many parts are replaced, reused or open, and where the risk of an unplanned stop is.
 * A part that is replaced counts with the chance of a new one, every other with its own.
 *
 * Errors: PreconditionError unless `most` is a whole number from 0.
 * Source: counts and an order, no model of its own; the chances are those of `decideWhole`.
 */
export function proposalOf(parts: readonly DecidedPart[], renewalPolicy: RenewalPolicy, most: number): Proposal {
	requireThat(Number.isSafeInteger(most) && most >= 0, 'proposalOf', 'most', most, 'a whole number from 0');
	const count = { reuse: 0, replace: 0, lookAgain: 0, open: 0 };
	const risks = parts.map((part) => {
		const verdict = part.decided ?? part.says[renewalPolicy];
		count[verdict]++;
		return { id: part.id, stop: (verdict === 'replace' ? part.fresh : part.reused).stop };
	});
	return { count, riskiest: risks.sort((a, b) => b.stop - a.stop).slice(0, most) };
}
