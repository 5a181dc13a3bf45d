import type { JobFacts } from './jobFacts';
import { effectiveTime, type Moment } from './moment';
import type { EntryProblem } from './problem';
import type { Product, Step } from './sheet';
import {
	builtSteps,
	firstMissing,
	gateOpen,
	leftOf,
	notJoined,
	verdictOn,
	type Missing,
	type Together,
	type UnitPlace
} from './together';

const deeperFirst = (part: string, missing: Missing | undefined): EntryProblem | undefined => {
	if (!missing) return undefined;
	const { name: before, cylinder, fact, loose = false } = missing;
	return {
		code: 'deeperFirst',
		part,
		before,
		cylinder,
		sure: fact.sure,
		loose,
		...(fact.why ? { why: fact.why } : {})
	};
};

/** Why a part may not go in now: it is not decided, its bore is not judged, or what comes before it is not in. */
export function keptOut(build: Together, part: string, holdOrder = true): EntryProblem | undefined {
	const place = build.places.get(part);
	if (!place) return { code: 'unknownPart' };
	const { name, key } = place.station;
	if (!verdictOn(place)) return { code: 'notDecided', part: name };
	const gate = gateOpen(build, part);
	if (gate) return { code: 'gateNotJudged', part: name, gate: gate.station.name };
	return holdOrder ? deeperFirst(name, firstMissing(build, key, place.cylinder)) : undefined;
}

/** Why a sub-assembly may not go in now: a part of it is not joined yet, or what comes before it is not in. */
export function unitKeptOut(build: Together, place: UnitPlace, holdOrder = true): EntryProblem | undefined {
	const { unit, cylinder } = place;
	const part = notJoined(build, place);
	if (part) return { code: 'notJoined', unit: unit.name, part: part.name };
	return holdOrder ? deeperFirst(unit.name, firstMissing(build, unit.key, cylinder)) : undefined;
}

interface Keys {
	has(key: string): boolean;
}

/**
 * Whether a step of building may be signed off: what it comes after is done, all its parts are in, its bolts are tight.
 * With a reason (`despite`) what it comes after may be left, but nothing may be left out or loose.
 */
export function checkBuildStep(step: Step, build: Together, answers: Keys, despite: boolean): EntryProblem | undefined {
	const planned = build.steps.find(({ key }) => key === step.key)!;
	const { notIn, notTightened } = leftOf(build, planned, answers);
	if (!despite) {
		const built = builtSteps(build, answers);
		const before = build.steps.find(({ key }) => planned.after.includes(key) && !built.has(key));
		if (before) return { code: 'stepTooEarly', step: step.text, before: before.text };
		const missing = firstMissing(build, step.key, 0);
		if (missing) return deeperFirst(step.text, missing);
	}
	if (notIn.length > 0) return { code: 'notAllIn', step: step.text, part: notIn[0].name, cylinder: notIn[0].cylinder };
	return notTightened.length > 0
		? { code: 'notTight', step: step.text, part: notTightened[0].station.name }
		: undefined;
}

/** The first step of building that is not done; undefined once the pump is together. */
export function firstUnbuilt(build: Together, answers: Keys): Step | undefined {
	const built = builtSteps(build, answers);
	return build.steps.find(({ key }) => !built.has(key));
}

/** How long a step may come after the one that its window names, minutes; undefined where it has none. */
export const windowMinutes = ({ within }: Pick<Step, 'within'>, products: readonly Product[]): number | undefined =>
	within && (within.minutes ?? products.find(({ key }) => key === within.product)?.workMinutes);

/** Whether a step comes too late after the one that its window names: a sealer that has set. */
export function checkWindow(
	step: Step,
	at: number,
	signed: { get(key: string): Moment | undefined },
	products: readonly Product[]
): EntryProblem | undefined {
	const minutes = windowMinutes(step, products);
	const from = step.within && signed.get(step.within.of);
	if (minutes === undefined || from === undefined || at - effectiveTime(from) <= 60_000 * minutes) return undefined;
	return { code: 'tooLate', step: step.text, minutes };
}

/** Nothing is proved of a pump that is not together. */
export function notTogether({ holdOrder, together, log }: JobFacts): EntryProblem | undefined {
	const open = holdOrder ? firstUnbuilt(together(), log().answers) : undefined;
	return open && { code: 'notTogether', before: open.text };
}
