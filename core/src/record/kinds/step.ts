import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { stepsInScope, type ModelSheet, type Scope } from '../sheet';
import { waitsFor } from '../stepOrder';
import { common, kind } from './common';

/** A step of the model sheet signed off. */
export const stepDoneSchema = kind('step', common, z.strictObject({ step: z.string().min(1).max(60) }));
export type StepDone = z.infer<typeof stepDoneSchema>;

interface StepFacts {
	readonly sheet: ModelSheet;
	readonly scope: Scope;
	readonly stepsDone: ReadonlySet<string>;
	readonly holdOrder: boolean;
}

export function checkStep(
	{ payload }: StepDone,
	{ sheet, scope, stepsDone, holdOrder }: StepFacts
): EntryProblem | undefined {
	const steps = stepsInScope(sheet, scope);
	const step = steps.find(({ key }) => key === payload.step);
	if (!step) return { code: 'unknownStep', step: payload.step };
	const [before] = holdOrder ? waitsFor(steps, step, stepsDone) : [];
	return before ? { code: 'stepTooEarly', step: step.text, before: before.text } : undefined;
}
