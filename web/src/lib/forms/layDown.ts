import { z } from 'zod';
import { fasteningSchema, stationSchema } from '@exetasis/core/record';
import { partTypeKeys } from '@exetasis/core/part';

const MOST_AT_ONCE = 40;
/** Cylinders of a pump, and 0 for what it has once. */
const MOST_PLACES = 8;

/** Parts that came off, as the page sends them. */
const laidDownSchema = z
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

const idsSchema = z
	.array(z.record(z.string().regex(/^\d{1,2}$/), z.uuid()).refine((ids) => Object.keys(ids).length <= MOST_PLACES))
	.max(MOST_AT_ONCE);

/** A size that is measured from now on, with what a new part measures there. */
export const newSizeSchema = z.strictObject({
	part: z.uuid(),
	characteristic: z.string().min(1).max(60),
	nominal: z.coerce.number().positive().max(1e6)
});

/** Reads them; undefined for anything else. */
export const laidDownIn = (text: string) => readJson(text, laidDownSchema);

/** The ids that the tablet gave their pieces, by cylinder, one record for each part; undefined for anything else. */
export const idsIn = (text: string) => readJson(text, idsSchema);

function readJson<T>(text: string, schema: z.ZodType<T>): T | undefined {
	try {
		return schema.safeParse(JSON.parse(text)).data;
	} catch {
		return undefined;
	}
}

/** The id of a batch as its tablet gave it; a text that is none counts as left out. */
export const batchIn = (text: string | undefined): string | undefined => z.uuid().safeParse(text).data;
