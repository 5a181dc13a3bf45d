import { z } from 'zod';
import { kind, ofPart } from './common';

/** A part put back into its place: the one that came out, or a new one. */
export const putInSchema = kind('putIn', ofPart, z.strictObject({ piece: z.enum(['same', 'new']) }));
export type PutIn = z.infer<typeof putInSchema>;

export interface PutBack {
	readonly putIn?: PutIn;
}

export const addPutIn = <R extends PutBack>(record: R, putIn: PutIn): R => ({ ...record, putIn });
