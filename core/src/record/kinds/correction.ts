import { z } from 'zod';
import { common, id, kind, words } from './common';

/** A lead's correction to a released job: in words, striking an entry out where it names one. */
export const correctionSchema = kind('correction', common, z.strictObject({ entry: id.optional(), text: words }));
export type Correction = z.infer<typeof correctionSchema>;
