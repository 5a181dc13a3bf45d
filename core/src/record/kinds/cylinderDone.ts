import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { allSteps, openedCylinders, type ModelSheet, type Opening } from '../sheet';
import { waitsFor } from '../stepOrder';
import { common, kind } from './common';

/** A step that is repeated, done at one cylinder: whoever goes on finds the place. It signs nothing off. */
export const cylinderDoneSchema = kind(
	'cylinderDone',
	common,
	z.strictObject({ step: z.string().min(1).max(60), cylinder: z.int().min(1).max(99) })
);
type CylinderDone = z.infer<typeof cylinderDoneSchema>;

interface StepFacts extends Opening {
	readonly sheet: ModelSheet;
	readonly stepsDone: ReadonlyMap<string, number>;
	readonly holdOrder: boolean;
}

export function checkCylinderDone(
	{ payload }: CylinderDone,
	{ sheet, stepsDone, holdOrder, ...job }: StepFacts
): EntryProblem | undefined {
	const steps = allSteps(sheet, job);
	const step = steps.find(({ key }) => key === payload.step);
	if (!step) return { code: 'unknownStep', step: payload.step };
	if (step.per !== 'cylinder' || !openedCylinders(sheet, job).includes(payload.cylinder))
		return { code: 'notAtCylinder', step: step.text, cylinder: payload.cylinder };
	const [before] = holdOrder ? waitsFor(steps, step, stepsDone) : [];
	return before && { code: 'stepTooEarly', step: step.text, before: before.text };
}
