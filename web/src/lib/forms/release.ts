import { z } from 'zod';

export const releaseSchema = z.object({
	/** Why a pump goes though not all of it is put together and proved: a lead's word; left empty where nothing is left. */
	unbuilt: z.string().trim().max(2000).default(''),
	to: z.enum(['service', 'shelf']).default('shelf'),
	/** Hoses and covers are back where they were. */
	connected: z.enum(['yes', 'no']).default('no')
});
