import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { allSteps, openedCylinders, type ModelSheet, type Opening } from '../sheet';
import { blockedBy, waitsFor } from '../stepOrder';
import { unanswered } from './answer';
import { locksInForce, mayTurn } from '../onTheBench';
import { common, kind, words } from './common';

const key = z.string().min(1).max(60);
/** A step of the model sheet signed off, with the way in which it was done where good people differ. */
export const stepDoneSchema = kind(
	'step',
	common,
	z.strictObject({
		step: key,
		way: key.optional(),
		/** Why it was done before something that should come first. */
		despite: words.optional()
	})
);
export type StepDone = z.infer<typeof stepDoneSchema>;

interface StepFacts extends Opening {
	readonly sheet: ModelSheet;
	/** Steps that are signed off, with the moment that counts, ms since 1970. */
	readonly stepsDone: ReadonlyMap<string, number>;
	readonly cylindersDone?: ReadonlyMap<string, ReadonlySet<number>>;
	readonly answers: ReadonlySet<string>;
	readonly holdOrder: boolean;
}

export function checkStep(
	{ payload }: StepDone,
	{ sheet, stepsDone, cylindersDone, answers, holdOrder, ...job }: StepFacts
): EntryProblem | undefined {
	const steps = allSteps(sheet, job);
	const step = steps.find(({ key }) => key === payload.step);
	if (!step) return { code: 'unknownStep', step: payload.step };
	if (payload.way !== undefined && !step.ways.some(({ key }) => key === payload.way))
		return { code: 'unknownWay', step: step.text };
	if (!holdOrder) return undefined;
	// What makes the pump safe, and the shaft that must not turn, are held whatever the reason.
	const [unsafe] = step.blocking ? [] : blockedBy(steps, stepsDone);
	if (unsafe) return { code: 'stepTooEarly', step: step.text, before: unsafe.text };
	if (step.crank && !mayTurn(steps, stepsDone, step)) {
		const [{ text }] = locksInForce(steps, stepsDone);
		return { code: 'shaftLocked', step: step.text, lock: text };
	}
	const [before] = payload.despite && !step.blocking ? [] : waitsFor(steps, step, stepsDone);
	if (before) return { code: 'stepTooEarly', step: step.text, before: before.text };
	// Once it is counted by cylinder, all of them count.
	const begun = cylindersDone?.get(step.key);
	const left = begun ? openedCylinders(sheet, job).filter((cylinder) => !begun.has(cylinder)) : [];
	if (left.length > 0) return { code: 'cylindersLeft', step: step.text, cylinders: left };
	return unanswered(step, answers, openedCylinders(sheet, job)).length > 0
		? { code: 'stepUnanswered', step: step.text }
		: undefined;
}
