import { z } from 'zod';

export const letterheadSchema = z.object({
	/** Lines under the shop's name. */
	address: z.string().trim().max(400, 'At most 400 characters.').default(''),
	/** Where a problem with the file is said. */
	logo: z.string().default(''),
	/** Checked: the logo is taken away. */
	without: z.enum(['', 'yes']).default('')
});
