import { z } from 'zod';

/** The cylinders that a job opens, a comma between them. */
export const openedSchema = z.object({
	cylinders: z
		.string()
		.regex(/^(\d{1,2}(,\d{1,2})*)?$/, 'Choose the cylinders again.')
		.default('')
});
