import { budgetOf, combine, type Budget, type BudgetInput, type Contribution } from './budget';
import { conformity, type Limit, type RiskPolicy } from './conformity';
import type { GaugeFacts } from './gauge';

/** What would settle a measurement that is too close to call, if the value stays where it is. */
export interface Settlement {
	/** How many more readings with this gauge; undefined where no number up to `MOST_READINGS` would do. */
	readonly moreReadings?: number;
	/** Gauges of the shop that would settle it with `readings` readings each, fewest first. */
	readonly gauges: readonly { readonly id: string; readonly readings: number }[];
}

/** No one takes more readings of one point than this; a better gauge is the answer. */
const MOST_READINGS = 20;
const MOST_READINGS_OTHER_GAUGE = 5;

// The budget that n readings would have, if their scatter stays as it is known now.
function withReadings(budget: Budget, now: number, n: number): Budget {
	const lines: Contribution[] = budget.contributions.map((line) =>
		line.source === 'repeatability' ? { ...line, u: line.u * Math.sqrt(now / n), dof: Math.max(line.dof, n - 1) } : line
	);
	return combine(lines);
}

/**
 * Answers "too close to call" with a way out: more readings, or another gauge of the shop.
 *
 * The mean is taken to stay where it is; only the uncertainty shrinks. Nothing is promised: a mean that moves to the
 * limit stays too close, and the screen says "if the value stays".
 *
 * Shape: `others` are the shop's gauges that measure this characteristic, without the one in use.
 * Errors: as `conformity`. Source: JCGM 106:2012, 8.3; the budget's own lines, recombined.
 */
export function waysToSettle(
	input: BudgetInput,
	value: number,
	limit: Limit,
	policy: RiskPolicy,
	others: readonly { readonly id: string; readonly facts: GaugeFacts }[]
): Settlement {
	const settles = (budget: Budget, { resolution }: GaugeFacts) =>
		conformity({ value, u: budget.u, dof: budget.dof }, limit, policy, resolution / 2).zone !== 'tooClose';
	const now = input.readings.length;
	const own = budgetOf(input);
	const counts = Array.from({ length: MOST_READINGS - now }, (_, i) => now + 1 + i);
	const enough = counts.find((n) => settles(withReadings(own, now, n), input.gauge));
	const gauges = others.flatMap(({ id, facts }) => {
		const single = budgetOf({ ...input, readings: [value], gauge: facts });
		for (let n = 1; n <= MOST_READINGS_OTHER_GAUGE; n++) {
			if (settles(withReadings(single, 1, n), facts)) return [{ id, readings: n }];
		}
		return [];
	});
	gauges.sort((a, b) => a.readings - b.readings);
	return { moreReadings: enough === undefined ? undefined : enough - now, gauges };
}
