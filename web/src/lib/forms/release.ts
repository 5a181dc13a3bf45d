import { z } from 'zod';
import { customerFields } from './customer';

/** What the customer is told in their report. */
export const toldSchema = z.object({
	...customerFields,
	cause: z.string().trim().max(2000, 'At most 2000 characters.').default(''),
	advice: z.string().trim().max(2000, 'At most 2000 characters.').default('')
});
export type Told = z.infer<typeof toldSchema>;

export const releaseSchema = z.object({
	/** Why a pump goes though not all of it is put together and proved: a lead's word; left empty where nothing is left. */
	unbuilt: z.string().trim().max(2000).default(''),
	to: z.enum(['service', 'shelf']).default('shelf'),
	/** Hoses and covers are back where they were. */
	connected: z.enum(['yes', 'no']).default('no')
});
