import { z } from 'zod';
import { kind, ofPart } from './common';
import type { Finding } from './finding';

/** Looked at, nothing found: absence is evidence. */
export const cleanSchema = kind('clean', ofPart, z.strictObject({}));
export type Clean = z.infer<typeof cleanSchema>;

export interface Cleaned {
	readonly findings: readonly Finding[];
	/** The last "nothing found", if no finding came after it. */
	readonly clean?: Clean;
}

export const addClean = <R extends Cleaned>(record: R, clean: Clean): R => ({ ...record, findings: [], clean });
