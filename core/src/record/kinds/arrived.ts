import { z } from 'zod';
import { stationsInScope } from '../sheet';
import { common, schemaOf, words } from './common';
import { jobKind } from './kind';

const note = words.max(80);
/** In the place of a kit's number on a part's record: it came by itself. */
export const BY_ITSELF = 'byItself';

/** Pieces that are here for the job: bought, with lot and supplier as the bag says, or out of the shop's own drawer. */
const schema = schemaOf(
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
export type Arrived = z.infer<typeof schema>;

export const arrived = jobKind({
	schema,
	add: ({ arrivals }, entry) => void arrivals.push(entry),
	// Whether the job needs such pieces at all.
	check: ({ payload: { station, kit } }, { sheet, ...job }) => {
		if (!stationsInScope(sheet, job).some(({ key }) => key === station)) return { code: 'unknownStation', station };
		const holds = sheet.kits.find(({ number }) => number === kit)?.holds.some((held) => held.station === station);
		return kit === undefined || holds ? undefined : { code: 'notInKit', station, kit };
	}
});
