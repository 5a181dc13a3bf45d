import { z } from 'zod';

/** The lives of the parts of one place, newest first, as the server tells them. */
export const placeBeforeSchema = z.array(
	z.object({
		part: z.string(),
		fittedHours: z.number().nullable(),
		removedHours: z.number().nullable(),
		endReason: z.enum(['worn', 'damaged', 'hurtAtStrip', 'renewedGood']).nullable(),
		patterns: z.array(z.string())
	})
);
export type PlaceBefore = z.infer<typeof placeBeforeSchema>;
