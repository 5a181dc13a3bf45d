import { z } from 'zod';
import type { EntryProblem } from '../problem';
import { stationsInScope, type ModelSheet, type Opening } from '../sheet';
import { common, kind, words } from './common';

const note = words.max(80);

/** Pieces that are here for the job: bought, with lot and supplier as the bag says, or out of the shop's own drawer. */
export const arrivedSchema = kind(
	'arrived',
	common,
	z.strictObject({
		station: z.string().min(1).max(60),
		pieces: z.int().min(1).max(1000),
		from: z.enum(['bought', 'stock']),
		lot: note.optional(),
		supplier: note.optional()
	})
);
export type Arrived = z.infer<typeof arrivedSchema>;

/** Whether the job needs such pieces at all. */
export const checkArrived = (
	{ payload }: Arrived,
	{ sheet, ...job }: Opening & { readonly sheet: ModelSheet }
): EntryProblem | undefined =>
	stationsInScope(sheet, job).some(({ key }) => key === payload.station)
		? undefined
		: { code: 'unknownStation', station: payload.station };
