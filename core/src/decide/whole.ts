import { LifeContext } from '../life';
import { isInspected, standingDecision, type Verdict } from '../record';
import { setOf } from './customs';
import { forecastOf, withSizes } from './forecast';
import { judge, type JudgeInput, type Judgement } from './judge';
import type { PartChances } from './partLife';
import type { Policy, RenewalPolicy } from './policy';
import type { Reason } from './reason';
import {
	anyInPump,
	bestInterval,
	costOf,
	costsAlone,
	decideSet,
	type Choice,
	type EconomicInterval,
	type SetCost,
	type SetPart
} from './setDecision';
import { leadersOf, withinSet } from './sets';
import { compareUnit, unitTriggers, type UnitComparison, type UnitTrigger } from './unit';

/** One part of the whole pump, judged, priced and decided with the others. */
export interface DecidedPart {
	readonly id: string;
	/** Why, under the policy in force. */
	readonly reasons: readonly Reason[];
	/** A hard rule puts it out and no decision says otherwise: it is not reused, and its chances are those of wear alone. */
	readonly out: boolean;
	/** Its chances by the next service if reused and if new. */
	readonly reused: PartChances;
	readonly fresh: PartChances;
	/** Expected cost of either choice for this part alone. */
	readonly cost: { readonly reuse: number; readonly replace: number };
	/** What each policy would say. */
	readonly says: Readonly<Record<RenewalPolicy, Verdict | 'open'>>;
	/** A person's decision. It stands above all policies. */
	readonly decided?: Verdict;
	/** By policy, how much it matters: parts to recheck first, then what could cost most, parts not inspected last. */
	readonly weight: Readonly<Record<RenewalPolicy, number>>;
}

export interface WholeDecision {
	readonly parts: readonly DecidedPart[];
	/** Cost of the set under each policy, with what is decided already. */
	readonly cost: Readonly<Record<RenewalPolicy, SetCost & { readonly pAnyBeyond: number }>>;
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
	/** What is shared with the forecasts of other parts; kept from one decision to the next, it saves their work. */
	readonly context?: LifeContext;
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
 * Decides the set under all three policies for the policy's interval.
 *
 * Hard rules and standing decisions are fixed in every policy, and sets of parts stay together. Costs are charged for what
 * stops the pump, not for what is found beyond a limit at the next service. A part of which nothing is known has its priors.
 * Errors: PreconditionError from the measuring and deciding functions.
 */
export function decideWhole({ parts, policy, openingCost, unit, context }: WholeInput): WholeDecision {
	const unplanned = openingCost + policy.downtimeCost;
	const judged = judgeAll(measuredAll(parts, policy, context), policy);
	const now = judged.map((part) => setPart(part, policy));
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
			reasons: part[policy.renewalPolicy === 'renewSoft' ? 'renewSoft' : 'onCondition'].reasons,
			out: part.hard && part.standing !== 'reuse',
			reused: now[i].reused,
			fresh: now[i].fresh,
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
	const costUnder = (renewalPolicy: RenewalPolicy) => {
		const choices =
			renewalPolicy === 'leastCost'
				? least.choices
				: new Map(
						now.map((pricedPart, i) => [pricedPart.id, pricedPart.fixed ?? choiceOf(decided[i].says[renewalPolicy])])
					);
		return { ...costOf(now, choices, unplanned), pAnyBeyond: anyBeyond(now, choices) };
	};
	const cost = {
		renewSoft: costUnder('renewSoft'),
		onCondition: costUnder('onCondition'),
		leastCost: costUnder('leastCost')
	};
	const triggers = unitTriggers(judged.map(({ input, cylinder }) => ({ ...input, cylinder })));
	const repairCost = cost[policy.renewalPolicy].parts + openingCost;
	const comparison = triggers.length > 0 && unit ? compareUnit(repairCost, unit, policy) : undefined;
	return { parts: decided, cost, unit: { triggers, ...(comparison ? { comparison } : {}) } };
}

function weightOf(says: Verdict | 'open', cost: { reuse: number; replace: number }): number {
	if (says === 'open') return -1;
	if (says === 'lookAgain') return Infinity;
	return Math.max(cost.reuse, says === 'replace' ? cost.replace : 0);
}

// What is still open or to be looked at again stays in for the sum.
const choiceOf = (says: Verdict | 'open'): Choice => (says === 'replace' ? 'replace' : 'reuse');

/** P(any part is beyond a limit or damaged by the next service) under these choices; independent given their pump. */
const anyBeyond = (parts: readonly PricedPart[], choices: ReadonlyMap<string, Choice>): number =>
	anyInPump(parts.map(({ id, reused, fresh }) => (choices.get(id) === 'replace' ? fresh : reused).byPump.beyond));

/**
 * The hours to the next service at which the cost per hour is least, with the curve; each interval decided by the policy in
 * force. Undefined before anything was looked at.
 */
export function economicInterval({ parts, policy, openingCost, context }: WholeInput): EconomicInterval | undefined {
	if (!parts.some(({ input }) => isInspected(input.record))) return undefined;
	const opening = { planned: openingCost, unplanned: openingCost + policy.downtimeCost };
	const measured = measuredAll(parts, policy, context);
	return bestInterval(
		(hours) => {
			const now = { ...policy, intervalHours: hours };
			const judged = judgeAll(measured, now);
			const set = judged.map((part) => setPart(part, now));
			const { renewalPolicy } = policy;
			return renewalPolicy === 'leastCost'
				? set
				: set.map((pricedPart, i) => fixedBy(pricedPart, judged[i], renewalPolicy));
		},
		opening,
		INTERVALS
	);
}

const fixedBy = (
	pricedPart: PricedPart,
	judged: WeighedPart,
	renewalPolicy: Exclude<RenewalPolicy, 'leastCost'>
): PricedPart => ({
	...pricedPart,
	fixed: pricedPart.fixed ?? choiceOf(judged[renewalPolicy].verdict)
});

interface WeighedPart {
	readonly id: string;
	readonly cylinder: number;
	readonly input: Omit<JudgeInput, 'policy'>;
	readonly renewSoft: Judgement;
	readonly onCondition: Judgement;
	readonly standing?: Verdict;
	readonly hard: boolean;
}

const measuredAll = (parts: WholeInput['parts'], policy: Policy, context = new LifeContext()): WholeInput['parts'] =>
	parts.map(({ input, ...part }) => ({ ...part, input: withSizes({ ...input, policy, context }) }));

function judgeAll(parts: WholeInput['parts'], policy: Policy): WeighedPart[] {
	// What is to come is the same under every policy.
	const forecasts = parts.map(({ input }) => forecastOf({ ...input, policy }));
	const under = (renewalPolicy: RenewalPolicy) => {
		const placed = parts.map(({ cylinder, input }, i) => ({
			station: input.station,
			cylinder,
			record: input.record,
			judgement: judge({ ...input, forecast: forecasts[i], policy: { ...policy, renewalPolicy } })
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

// What is open, dirty or too close stays so under every policy: no arithmetic replaces the second look.
function leastCostSays({ onCondition, hard }: WeighedPart, choice: Choice): Verdict | 'open' {
	if (hard) return 'replace';
	return onCondition.verdict === 'open' || onCondition.verdict === 'lookAgain' ? onCondition.verdict : choice;
}

interface PricedPart extends SetPart {
	readonly reused: PartChances;
	readonly fresh: PartChances;
}

function setPart({ id, input, cylinder, hard, standing, onCondition }: WeighedPart, policy: Policy): PricedPart {
	const { price, collateral } = input.station;
	const fixed: Choice | undefined =
		standing === 'reuse' || standing === 'replace' ? standing : hard ? 'replace' : undefined;
	const set = setOf(input.station, cylinder, policy);
	const { reused, fresh } = onCondition;
	return {
		id,
		price,
		collateral,
		reused,
		fresh,
		pReuse: reused.stop,
		pNew: fresh.stop,
		byPump: { reuse: reused.byPump.stop, fresh: fresh.byPump.stop },
		...(fixed ? { fixed } : {}),
		...(set ? { set } : {})
	};
}
