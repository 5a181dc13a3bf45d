import { z } from 'zod';
import { kind, ofPart, words } from './common';

/** A part put back into its place, or joined to its sub-assembly: the one that came out, or a new one. */
export const putInSchema = kind(
	'putIn',
	ofPart,
	z.strictObject({
		piece: z.enum(['same', 'new']),
		/** Why it went in although something that should be in before it was not. */
		despite: words.optional()
	})
);
export type PutIn = z.infer<typeof putInSchema>;

export interface PutBack {
	readonly putIn?: PutIn;
}

export const addPutIn = <R extends PutBack>(record: R, putIn: PutIn): R => ({ ...record, putIn });
