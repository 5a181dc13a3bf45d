import { z } from 'zod';
import { common, id, kind, words } from './common';

/** Name of a photograph: SHA-256 of its bytes, in hexadecimal. */
export const photoName = z.string().regex(/^[0-9a-f]{64}$/, 'is no SHA-256 of a photograph');

/** Longest edge of a photograph that is kept, pixels, and the most bytes of its JPEG. */
export const PHOTO_MOST = { edge: 2000, bytes: 1_000_000 } as const;

const edge = z.int().min(1).max(PHOTO_MOST.edge);

/** A photograph, of a part or of the job; its bytes are kept beside the log, under their own name. */
export const photoSchema = kind(
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
type Photo = z.infer<typeof photoSchema>;

export interface Photos {
	readonly photos: readonly Photo[];
}

export const addPhoto = <R extends Photos>(record: R, photo: Photo): R => ({
	...record,
	photos: [...record.photos, photo]
});
