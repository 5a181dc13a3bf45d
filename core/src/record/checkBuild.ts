import type { Tightened } from './kinds/tightened';
import { checkTightened } from './kinds/tightened';
import type { PutIn } from './kinds/putIn';
import type { EntryProblem } from './problem';
import type { Product, Step } from './sheet';
import { builtSteps, firstMissing, gateOpen, leftOf, verdictOn, type Together } from './together';

/** Why a part may not go in now: nobody has decided on it or judged its bore, or what lies deeper is not in. */
export function keptOut(build: Together, part: string, holdOrder = true): EntryProblem | undefined {
	const place = build.places.get(part);
	if (!place) return { code: 'unknownPart' };
	const { name } = place.station;
	if (!verdictOn(place)) return { code: 'notDecided', part: name };
	const gate = gateOpen(build, part);
	if (gate) return { code: 'gateNotJudged', part: name, gate: gate.station.name };
	const deeper = holdOrder ? firstMissing(build, part) : undefined;
	return deeper && { code: 'deeperFirst', part: name, before: deeper.station.name, cylinder: deeper.cylinder };
}

/** Whether this piece may go in now: nothing keeps it out, and it is the one that was decided on. */
export function checkPutIn({ part, payload }: PutIn, build: Together, holdOrder: boolean): EntryProblem | undefined {
	const place = build.places.get(part);
	const verdict = place && verdictOn(place);
	if (verdict && (payload.piece === 'new') !== (verdict === 'replace'))
		return { code: 'otherPiece', part: place.station.name, decided: verdict };
	return keptOut(build, part, holdOrder);
}

/** Whether a bolt of a part can be tightened so. */
export function checkBolt(entry: Tightened, build: Together, holdOrder: boolean): EntryProblem | undefined {
	const place = build.places.get(entry.part);
	return place ? checkTightened(entry, place.station, place.record, holdOrder) : { code: 'unknownPart' };
}

interface SignedOff {
	has(key: string): boolean;
	/** The moment that counts, ms since 1970. */
	get(key: string): number | undefined;
}

/** Whether a step of building may be signed off: what it comes after is done, all its parts are in, its bolts are tight. */
export function checkBuildStep(
	step: Step,
	build: Together,
	signed: SignedOff,
	answers: { has(key: string): boolean }
): EntryProblem | undefined {
	const planned = build.steps.find(({ key }) => key === step.key)!;
	const built = builtSteps(build, signed, answers);
	const before = build.steps.find(({ key }) => planned.after.includes(key) && !built.has(key));
	if (before) return { code: 'stepTooEarly', step: step.text, before: before.text };
	const { notIn, notTightened } = leftOf(build, planned, answers);
	if (notIn.length > 0)
		return { code: 'notAllIn', step: step.text, part: notIn[0].station.name, cylinder: notIn[0].cylinder };
	return notTightened.length > 0
		? { code: 'notTight', step: step.text, part: notTightened[0].station.name }
		: undefined;
}

/** The first step of building that is not done; undefined once the pump is together. */
export function firstUnbuilt(
	build: Together,
	signed: { has(key: string): boolean },
	answers: { has(key: string): boolean }
): Step | undefined {
	const built = builtSteps(build, signed, answers);
	return build.steps.find(({ key }) => !built.has(key));
}

/** How long a step may come after the one that its window names, minutes; undefined where it has none. */
export const windowMinutes = ({ within }: Pick<Step, 'within'>, products: readonly Product[]): number | undefined =>
	within && (within.minutes ?? products.find(({ key }) => key === within.product)?.workMinutes);

/** Whether a step comes too late after the one that its window names: a sealer that has set. */
export function checkWindow(
	step: Step,
	at: number,
	signed: SignedOff,
	products: readonly Product[]
): EntryProblem | undefined {
	const minutes = windowMinutes(step, products);
	const from = step.within && signed.get(step.within.of);
	if (minutes === undefined || from === undefined || at - from <= 60_000 * minutes) return undefined;
	return { code: 'tooLate', step: step.text, minutes };
}
