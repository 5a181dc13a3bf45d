import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { allSteps, openedCylinders, type ModelSheet, type Opening } from '../sheet';
import { waitsFor } from '../stepOrder';
import { unanswered } from './answer';
import { common, kind } from './common';

const key = z.string().min(1).max(60);
/** A step of the model sheet signed off, with the way in which it was done where good people differ. */
export const stepDoneSchema = kind('step', common, z.strictObject({ step: key, way: key.optional() }));
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
	const [before] = holdOrder ? waitsFor(steps, step, stepsDone) : [];
	if (before) return { code: 'stepTooEarly', step: step.text, before: before.text };
	if (!holdOrder) return undefined;
	// Once it is counted by cylinder, all of them count.
	const begun = cylindersDone?.get(step.key);
	const left = begun ? openedCylinders(sheet, job).filter((cylinder) => !begun.has(cylinder)) : [];
	if (left.length > 0) return { code: 'cylindersLeft', step: step.text, cylinders: left };
	return unanswered(step, answers).length > 0 ? { code: 'stepUnanswered', step: step.text } : undefined;
}
