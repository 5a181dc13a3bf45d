import { z } from 'zod';

/** Why a pump goes though not all of it is put together and proved: a lead's word; left empty where nothing is left. */
export const releaseSchema = z.object({ unbuilt: z.string().trim().max(2000).default('') });
