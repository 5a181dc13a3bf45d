import { z } from 'zod';
import { common, id, schemaOf, words } from './common';
import { addToPart, checkOfPart, jobKind } from './kind';

/** Name of a photograph: SHA-256 of its bytes, in hexadecimal. */
export const photoName = z.string().regex(/^[0-9a-f]{64}$/, 'is no SHA-256 of a photograph');

/** Longest edge of a photograph that is kept, pixels, and the most bytes of its JPEG. */
export const PHOTO_MOST = { edge: 2000, bytes: 1_000_000 } as const;

const edge = z.int().min(1).max(PHOTO_MOST.edge);

/** A photograph, of a part or of the job; its bytes are kept beside the log, under their own name. */
const schema = schemaOf(
	'photo',
	{ ...common, part: id.optional() },
	z.strictObject({
		sha256: photoName,
		width: edge,
		height: edge,
		caption: words.optional(),
		/** Of a new part, to hold this one against; left out: of the part itself. */
		of: z.literal('newPart').optional()
	})
);
export type Photo = z.infer<typeof schema>;

export interface Photos {
	readonly photos: readonly Photo[];
}

export const photo = jobKind({
	schema,
	add: (log, entry) => {
		const { id, part } = entry;
		if (part) addToPart(log, { id, part }, (record) => ({ ...record, photos: [...record.photos, entry] }));
		else log.photos.push(entry);
	},
	check: ({ part }, job) => (part ? checkOfPart(part, job) : undefined)
});
