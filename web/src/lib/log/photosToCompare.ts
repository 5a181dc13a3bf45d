import { z } from 'zod';

/** Photographs of other jobs beside which a part can be laid, as the server tells them: new parts, and what lay there before. */
export const photosToCompareSchema = z.array(
	z.object({
		job: z.string(),
		sha256: z.string(),
		of: z.enum(['newPart', 'partThere']),
		takenAt: z.coerce.date()
	})
);
export type PhotoToCompare = z.infer<typeof photosToCompareSchema>[number];
