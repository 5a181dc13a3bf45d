import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { stationsInScope, type ModelSheet, type Opening } from '../sheet';
import { common, kind, words } from './common';

const note = words.max(80);
/** In the place of a kit's number on a part's record: it came by itself. */
export const BY_ITSELF = 'byItself';

/** Pieces that are here for the job: bought, with lot and supplier as the bag says, or out of the shop's own drawer. */
export const arrivedSchema = kind(
	'arrived',
	common,
	z.strictObject({
		station: z.string().min(1).max(60),
		pieces: z.int().min(1).max(1000),
		from: z.enum(['bought', 'stock']),
		lot: note.optional(),
		supplier: note.optional(),
		/** Number of the kit that they came out of; left out: they came by themselves. */
		kit: note.optional()
	})
);
type Arrived = z.infer<typeof arrivedSchema>;

/** Whether the job needs such pieces at all. */
export const checkArrived = (
	{ payload }: Arrived,
	{ sheet, ...job }: Opening & { readonly sheet: ModelSheet }
): EntryProblem | undefined => {
	const { station, kit } = payload;
	if (!stationsInScope(sheet, job).some(({ key }) => key === station)) return { code: 'unknownStation', station };
	const holds = sheet.kits.find(({ number }) => number === kit)?.holds.some((held) => held.station === station);
	return kit === undefined || holds ? undefined : { code: 'notInKit', station, kit };
};
