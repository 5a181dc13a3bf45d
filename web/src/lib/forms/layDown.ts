import { z } from 'zod';
import { fasteningSchema, stationSchema } from '@exetasis/core/record';
import { partTypeKeys } from '@exetasis/core/part';

const MOST_AT_ONCE = 40;

/** Parts that came off, as the page sends them. */
export const laidDownSchema = z
	.array(
		z.strictObject({
			type: z.enum(partTypeKeys),
			name: z.string().trim().min(1).max(60).optional(),
			pieces: z.int().min(1).max(200),
			per: z.enum(['pump', 'cylinder']),
			face: stationSchema.shape.face.optional(),
			bolts: fasteningSchema.shape.bolts.optional()
		})
	)
	.min(1)
	.max(MOST_AT_ONCE);

/** A size that is measured from now on, with what a new part measures there. */
export const newSizeSchema = z.strictObject({
	station: z.string().min(1).max(120),
	characteristic: z.string().min(1).max(60),
	nominal: z.coerce.number().positive().max(1e6)
});

/** Reads them; undefined for anything else. */
export function laidDownIn(text: string): z.infer<typeof laidDownSchema> | undefined {
	try {
		return laidDownSchema.safeParse(JSON.parse(text)).data;
	} catch {
		return undefined;
	}
}

/** The id of a batch as its tablet gave it; a text that is none counts as left out. */
export const batchIn = (text: string | undefined): string | undefined => z.uuid().safeParse(text).data;
