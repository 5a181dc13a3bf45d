import { z } from 'zod';
import { allSteps, openedCylinders } from '../sheet';
import { waitsFor } from '../stepOrder';
import { common, schemaOf } from './common';
import { jobKind } from './kind';

/** A step that is repeated, done at one cylinder: whoever goes on finds the place. It signs nothing off. */
const schema = schemaOf(
	'cylinderDone',
	common,
	z.strictObject({ step: z.string().min(1).max(60), cylinder: z.int().min(1).max(99) })
);
export type CylinderDone = z.infer<typeof schema>;

export const cylinderDone = jobKind({
	schema,
	add: ({ cylindersDone }, entry) => {
		const { step, cylinder } = entry.payload;
		cylindersDone.set(step, new Map(cylindersDone.get(step)).set(cylinder, entry));
	},
	check: ({ payload }, { sheet, log, holdOrder, ...job }) => {
		const steps = allSteps(sheet, job);
		const step = steps.find(({ key }) => key === payload.step);
		if (!step) return { code: 'unknownStep', step: payload.step };
		if (step.per !== 'cylinder' || !openedCylinders(sheet, job).includes(payload.cylinder))
			return { code: 'notAtCylinder', step: step.text, cylinder: payload.cylinder };
		const [before] = holdOrder ? waitsFor(steps, step, log().steps) : [];
		return before && { code: 'stepTooEarly', step: step.text, before: before.text };
	},
	ordered: true
});
