import { z } from 'zod';
import { common, id, schemaOf, words } from './common';
import { addToPart, checkOfPart, jobKind } from './kind';

/** A remark in one's own words, on a part or on the job. */
const schema = schemaOf('note', { ...common, part: id.optional() }, z.strictObject({ text: words }));
export type Note = z.infer<typeof schema>;

export interface Notes {
	readonly notes: readonly Note[];
}

export const note = jobKind({
	schema,
	add: (log, entry) => {
		const { id, part } = entry;
		if (part) addToPart(log, { id, part }, (record) => ({ ...record, notes: [...record.notes, entry] }));
		else log.notes.push(entry);
	},
	check: ({ part }, job) => (part ? checkOfPart(part, job) : undefined)
});
