import { discardLimit, standingDecision, type Verdict } from '../record';
import { byGammaProcess, passesLimit, type FittedProcess } from './gammaProcess';
import { judge, type JudgeInput, type Judgement } from './judge';
import type { Policy, School } from './policy';
import { bestInterval, costsAlone, decideSet, type IntervalCost, type SetCost, type SetPart } from './setDecision';

/** One part of the whole pump, judged, priced and decided with the others. */
export interface DecidedPart {
	readonly id: string;
	readonly judgement: Judgement;
	/** P(it passes a limit before the next service) if reused and if new; undefined where nothing of it is measured. */
	readonly pReuse?: number;
	readonly pNew?: number;
	/** Expected cost of either choice for this part alone. */
	readonly cost: { readonly reuse: number; readonly replace: number };
	/** What each school would say. */
	readonly says: Readonly<Record<School, Verdict | 'open'>>;
	/** What somebody has decided, which stands above all schools. */
	readonly decided?: Verdict;
}

export interface WholeDecision {
	readonly parts: readonly DecidedPart[];
	/** Cost of the set under each school, with what is decided already. */
	readonly cost: Readonly<Record<School, SetCost>>;
}

/** The whole pump as it lies on the mat. */
export interface WholeInput {
	readonly parts: readonly { readonly id: string; readonly input: Omit<JudgeInput, 'policy'> }[];
	readonly policy: Policy;
	/** Planned opening of this model, in the shop's currency. */
	readonly openingCost: number;
}

const HARD = new Set(['singleUse', 'patternOut', 'longerThanNew', 'beyondLimit']);
/** Intervals at which the cost per hour is worked out. */
export const INTERVALS = Array.from({ length: 24 }, (_, i) => (i + 1) * 250);

/**
 * Decides the set under all three schools for the policy's interval.
 *
 * Hard rules and standing decisions are fixed in every school. A part of which nothing is measured has no odds here:
 * it costs nothing to reuse, so "least cost" keeps it, and the screen says that its odds are unknown.
 * Errors: PreconditionError from the measuring and deciding functions.
 */
export function decideWhole({ parts, policy, openingCost }: WholeInput): WholeDecision {
	const unplanned = openingCost + policy.downtimeCost;
	const judged = parts.map(({ id, input }) => judgeBoth(id, input, policy));
	const now = judged.map((part) => setPart(part, policy.intervalHours));
	const least = decideSet(now, unplanned);
	const decided = judged.map((part, i): DecidedPart => ({
		id: part.id,
		judgement: part[policy.school === 'renewSoft' ? 'renewSoft' : 'onCondition'],
		...(part.measured ? { pReuse: now[i].pReuse, pNew: now[i].pNew } : {}),
		cost: costsAlone(now[i], unplanned),
		says: {
			renewSoft: part.renewSoft.verdict,
			onCondition: part.onCondition.verdict,
			leastCost: leastCostSays(part, least.choices.get(part.id)!)
		},
		decided: part.standing
	}));
	const costUnder = (school: School): SetCost => {
		const fixed = now.map((one, i) => ({
			...one,
			fixed: one.fixed ?? (decided[i].says[school] === 'replace' ? ('replace' as const) : ('reuse' as const))
		}));
		return decideSet(fixed, unplanned).cost;
	};
	return {
		parts: decided,
		cost: { renewSoft: costUnder('renewSoft'), onCondition: costUnder('onCondition'), leastCost: least.cost }
	};
}

/** The hours to the next service at which the cost per hour is least, with the curve; each interval decided by least cost. */
export function economicInterval({ parts, policy, openingCost }: WholeInput): {
	best: IntervalCost;
	curve: IntervalCost[];
} {
	const judged = parts.map(({ id, input }) => judgeBoth(id, input, policy));
	const opening = { planned: openingCost, unplanned: openingCost + policy.downtimeCost };
	return bestInterval((hours) => judged.map((part) => setPart(part, hours)), opening, INTERVALS);
}

interface JudgedPart {
	readonly id: string;
	readonly input: Omit<JudgeInput, 'policy'>;
	readonly renewSoft: Judgement;
	readonly onCondition: Judgement;
	readonly standing?: Verdict;
	readonly hard: boolean;
	readonly measured: boolean;
}

function judgeBoth(id: string, input: Omit<JudgeInput, 'policy'>, policy: Policy): JudgedPart {
	const onCondition = judge({ ...input, policy: { ...policy, school: 'onCondition' } });
	return {
		id,
		input,
		renewSoft: judge({ ...input, policy: { ...policy, school: 'renewSoft' } }),
		onCondition,
		standing: standingDecision(input.record)?.payload.verdict,
		hard: onCondition.reasons.some(({ code }) => HARD.has(code)),
		measured: Object.keys(onCondition.outlook).length > 0
	};
}

// What is open, dirty or too close stays so under every school: no arithmetic replaces the second look.
function leastCostSays({ onCondition, hard }: JudgedPart, choice: 'reuse' | 'replace'): Verdict | 'open' {
	if (hard) return 'replace';
	return onCondition.verdict === 'open' || onCondition.verdict === 'lookAgain' ? onCondition.verdict : choice;
}

function setPart({ id, input, onCondition, hard, standing }: JudgedPart, hours: number): SetPart {
	const survives = { reuse: 1, fresh: 1 };
	for (const one of onCondition.measured) {
		const model = input.wearModels?.[one.sheet.key];
		if (model?.kind !== 'fitted' || !(input.hours! > 0)) continue;
		const { worn, allowance } = one.wear;
		const state = { worn, u: one.budget.u, allowance, hours: input.hours!, rateScatter: 0 };
		survives.reuse *= 1 - byGammaProcess(model.process, model.parts)(state, hours).probability;
	}
	for (const sheet of input.station.characteristics) {
		const model: FittedProcess | undefined = input.wearModels?.[sheet.key];
		if (model?.kind !== 'fitted') continue;
		const allowance = Math.abs(discardLimit(sheet).value - sheet.nominal);
		survives.fresh *= 1 - passesLimit(model.process, { worn: 0, hours: 0, allowance }, hours);
	}
	const { price, collateral } = input.station;
	const decided = standing === 'reuse' || standing === 'replace' ? standing : undefined;
	const known = survives.reuse < 1 || onCondition.measured.length > 0;
	return {
		id,
		price,
		collateral,
		pReuse: 1 - survives.reuse,
		// A part without odds of its own is not given any as new either, or reusing it would seem free.
		pNew: known ? 1 - survives.fresh : 0,
		...((decided ?? (hard ? 'replace' : undefined)) ? { fixed: decided ?? ('replace' as const) } : {})
	};
}
