import { standingDecision, type Verdict } from '../record';
import { setOf } from './customs';
import { byGammaProcess, passesLimit } from './gammaProcess';
import { judge, wearModelOf, type JudgeInput, type Judgement } from './judge';
import { chanceOfOtherEnd } from './otherEnds';
import type { Policy, School } from './policy';
import type { Reason } from './reason';
import {
	bestInterval,
	costsAlone,
	decideSet,
	type Choice,
	type IntervalCost,
	type SetCost,
	type SetPart
} from './setDecision';
import { leadersOf, withinSet } from './sets';
import { compareUnit, unitTriggers, type UnitComparison, type UnitTrigger } from './unit';

/** One part of the whole pump, judged, priced and decided with the others. */
export interface DecidedPart {
	readonly id: string;
	/** Why, under the school in force. */
	readonly reasons: readonly Reason[];
	/** P(it fails before the next service) if reused and if new; undefined where nothing of it is measured or on record. */
	readonly pReuse?: number;
	readonly pNew?: number;
	/** Expected cost of either choice for this part alone. */
	readonly cost: { readonly reuse: number; readonly replace: number };
	/** What each school would say. */
	readonly says: Readonly<Record<School, Verdict | 'open'>>;
	/** What somebody has decided, which stands above all schools. */
	readonly decided?: Verdict;
	/** By school, how much it matters: what wants a second look, then what could cost most; nobody’s look last. */
	readonly weight: Readonly<Record<School, number>>;
}

export interface WholeDecision {
	readonly parts: readonly DecidedPart[];
	/** Cost of the set under each school, with what is decided already. */
	readonly cost: Readonly<Record<School, SetCost>>;
	/** What puts the unit itself in question, and repair against replacement where the sheet prices a new unit. */
	readonly unit: { readonly triggers: readonly UnitTrigger[]; readonly comparison?: UnitComparison };
}

/** The whole pump as it lies on the mat. */
export interface WholeInput {
	readonly parts: readonly {
		readonly id: string;
		readonly cylinder: number;
		readonly input: Omit<JudgeInput, 'policy'>;
	}[];
	readonly policy: Policy;
	/** Planned opening of this model, in the shop's currency. */
	readonly openingCost: number;
	/** A replacement unit, where the sheet prices one. */
	readonly unit?: { readonly price: number; readonly lifeHours: number };
}

const HARD = new Set([
	'singleUse',
	'customRenewed',
	'patternOut',
	'longerThanNew',
	'beyondLimit',
	'figureBeyond',
	'mixedUp',
	'noneOfThem'
]);
/** Intervals at which the cost per hour is worked out. */
export const INTERVALS = Array.from({ length: 24 }, (_, i) => (i + 1) * 250);

/**
 * Decides the set under all three schools for the policy's interval.
 *
 * Hard rules and standing decisions are fixed in every school, and sets of parts stay together. A part of which nothing is
 * measured and no life is on record has no odds here: it costs nothing to reuse, so "least cost" keeps it, and the screen
 * says that its odds are unknown.
 * Errors: PreconditionError from the measuring and deciding functions.
 */
export function decideWhole({ parts, policy, openingCost, unit }: WholeInput): WholeDecision {
	const unplanned = openingCost + policy.downtimeCost;
	const judged = judgeAll(parts, policy);
	const now = judged.map((part) => setPart(part, policy.intervalHours, policy));
	const least = decideSet(now, unplanned);
	const decided = judged.map((part, i): DecidedPart => {
		const says = {
			renewSoft: part.renewSoft.verdict,
			onCondition: part.onCondition.verdict,
			leastCost: leastCostSays(part, least.choices.get(part.id)!)
		};
		const cost = costsAlone(now[i], unplanned);
		return {
			id: part.id,
			reasons: part[policy.school === 'renewSoft' ? 'renewSoft' : 'onCondition'].reasons,
			...(hasOdds(part) ? { pReuse: now[i].pReuse, pNew: now[i].pNew } : {}),
			cost,
			says,
			decided: part.standing,
			weight: {
				renewSoft: weightOf(says.renewSoft, cost),
				onCondition: weightOf(says.onCondition, cost),
				leastCost: weightOf(says.leastCost, cost)
			}
		};
	});
	const costUnder = (school: School): SetCost => {
		const fixed = now.map((one, i) => ({
			...one,
			fixed: one.fixed ?? (decided[i].says[school] === 'replace' ? ('replace' as const) : ('reuse' as const))
		}));
		return decideSet(fixed, unplanned).cost;
	};
	const cost = { renewSoft: costUnder('renewSoft'), onCondition: costUnder('onCondition'), leastCost: least.cost };
	const triggers = unitTriggers(judged.map(({ input, cylinder }) => ({ ...input, cylinder })));
	const repairCost = cost[policy.school].parts + openingCost;
	const comparison = triggers.length > 0 && unit ? compareUnit(repairCost, unit, policy) : undefined;
	return { parts: decided, cost, unit: { triggers, ...(comparison ? { comparison } : {}) } };
}

function weightOf(says: Verdict | 'open', cost: { reuse: number; replace: number }): number {
	if (says === 'open') return -1;
	if (says === 'lookAgain') return Infinity;
	return Math.max(cost.reuse, says === 'replace' ? cost.replace : 0);
}

/** The hours to the next service at which the cost per hour is least, with the curve; each interval decided by least cost. */
export function economicInterval({ parts, policy, openingCost }: WholeInput): {
	best: IntervalCost;
	curve: IntervalCost[];
} {
	const judged = judgeAll(parts, policy);
	const opening = { planned: openingCost, unplanned: openingCost + policy.downtimeCost };
	return bestInterval((hours) => judged.map((part) => setPart(part, hours, policy)), opening, INTERVALS);
}

interface JudgedPart {
	readonly id: string;
	readonly cylinder: number;
	readonly input: Omit<JudgeInput, 'policy'>;
	readonly renewSoft: Judgement;
	readonly onCondition: Judgement;
	readonly standing?: Verdict;
	readonly hard: boolean;
}

function judgeAll(parts: WholeInput['parts'], policy: Policy): JudgedPart[] {
	const under = (school: School) => {
		const placed = parts.map(({ cylinder, input }) => ({
			station: input.station,
			cylinder,
			record: input.record,
			judgement: judge({ ...input, policy: { ...policy, school } })
		}));
		const leaders = leadersOf(placed, policy);
		return placed.map((part) => withinSet(part, leaders, policy));
	};
	const [renewSoft, onCondition] = [under('renewSoft'), under('onCondition')];
	return parts.map(({ id, cylinder, input }, i) => ({
		id,
		cylinder,
		input,
		renewSoft: renewSoft[i],
		onCondition: onCondition[i],
		standing: standingDecision(input.record)?.payload.verdict,
		hard: onCondition[i].reasons.some(({ code }) => HARD.has(code))
	}));
}

// What is open, dirty or too close stays so under every school: no arithmetic replaces the second look.
function leastCostSays({ onCondition, hard }: JudgedPart, choice: Choice): Verdict | 'open' {
	if (hard) return 'replace';
	return onCondition.verdict === 'open' || onCondition.verdict === 'lookAgain' ? onCondition.verdict : choice;
}

const modelled = ({ input, onCondition }: JudgedPart) =>
	onCondition.measured.flatMap((one) => {
		const model = wearModelOf(input, one.sheet);
		return model ? [{ ...one, ...model }] : [];
	});
const hasHours = ({ input }: JudgedPart): boolean => input.hours !== undefined && input.hours > 0;
const hasOdds = (part: JudgedPart): boolean =>
	hasHours(part) && (part.input.otherEnds !== undefined || modelled(part).length > 0);

// Ends compete: it holds only if it neither wears out in any measured size nor ends otherwise. A new part is given odds for
// the same sizes as the old one, or reusing what nobody measured would seem free.
function setPart(part: JudgedPart, within: number, policy: Policy): SetPart {
	const { id, input, cylinder, hard, standing } = part;
	const holds = { reused: 1, fresh: 1 };
	if (hasOdds(part)) {
		const hours = input.hours!;
		for (const { process, basis, wear, budget } of modelled(part)) {
			const { worn, allowance } = wear;
			const state = { worn, u: budget.u, allowance, hours, rateScatter: 0 };
			holds.reused *= 1 - byGammaProcess(process, basis)(state, within).probability;
			holds.fresh *= 1 - passesLimit(process, { worn: 0, hours: 0, allowance }, within);
		}
		if (input.otherEnds) {
			holds.reused *= 1 - chanceOfOtherEnd(input.otherEnds, hours, within);
			holds.fresh *= 1 - chanceOfOtherEnd(input.otherEnds, 0, within);
		}
	}
	const { price, collateral } = input.station;
	const fixed: Choice | undefined =
		standing === 'reuse' || standing === 'replace' ? standing : hard ? 'replace' : undefined;
	const set = setOf(input.station, cylinder, policy);
	return {
		id,
		price,
		collateral,
		pReuse: 1 - holds.reused,
		pNew: 1 - holds.fresh,
		...(fixed ? { fixed } : {}),
		...(set ? { set } : {})
	};
}
