import type { Tightened } from './kinds/tightened';
import { checkTightened } from './kinds/tightened';
import type { PutIn } from './kinds/putIn';
import type { EntryProblem } from './problem';
import type { Product, Step } from './sheet';
import { builtSteps, firstMissing, gateOpen, leftOf, verdictOn, type Together } from './together';

/** Whether a part may go in now: it is decided, it is the piece that was decided on, its bore is judged, and what lies deeper is in. */
export function checkPutIn({ part, payload }: PutIn, build: Together, holdOrder: boolean): EntryProblem | undefined {
	const place = build.places.get(part);
	if (!place) return { code: 'unknownPart' };
	const { name } = place.station;
	const verdict = verdictOn(place);
	if (!verdict) return { code: 'notDecided', part: name };
	if ((payload.piece === 'new') !== (verdict === 'replace'))
		return { code: 'otherPiece', part: name, decided: verdict };
	const gate = gateOpen(build, part);
	if (gate) return { code: 'gateNotJudged', part: name, gate: gate.station.name };
	const deeper = holdOrder ? firstMissing(build, part) : undefined;
	return deeper && { code: 'deeperFirst', part: name, before: deeper.station.name, cylinder: deeper.cylinder };
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

/** Whether the pump may be proved: all of it is built. */
export function checkBuilt(
	step: Step,
	build: Together,
	signed: SignedOff,
	answers: { has(key: string): boolean }
): EntryProblem | undefined {
	const built = builtSteps(build, signed, answers);
	const open = build.steps.find(({ key }) => !built.has(key));
	return open && { code: 'stepTooEarly', step: step.text, before: open.text };
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
