import { z } from 'zod';
import { common, kind } from './common';

/** A step of the model sheet signed off. */
export const stepDoneSchema = kind('step', common, z.strictObject({ step: z.string().min(1).max(60) }));
export type StepDone = z.infer<typeof stepDoneSchema>;
