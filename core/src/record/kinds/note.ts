import { z } from 'zod';
import { common, id, kind, words } from './common';

/** A remark in one's own words, on a part or on the job. */
export const noteSchema = kind('note', { ...common, part: id.optional() }, z.strictObject({ text: words }));
export type Note = z.infer<typeof noteSchema>;

export interface Notes {
	readonly notes: readonly Note[];
}

export const addNote = <R extends Notes>(record: R, note: Note): R => ({ ...record, notes: [...record.notes, note] });
