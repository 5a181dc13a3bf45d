import { z } from 'zod';
import * as kinds from './kinds';
import type { JobFacts } from './jobFacts';
import type { EntryKind as Kind } from './kinds/kind';
import type { EntryProblem } from './problem';

export type EntryKind = keyof typeof kinds;
type Schema = (typeof kinds)[EntryKind]['schema'];

/** One line of the bench log: made by the client, never updated, never deleted. One file a kind, in `kinds/`. */
export const entrySchema = z.discriminatedUnion(
	'kind',
	Object.values(kinds).map(({ schema }) => schema) as unknown as [Schema, ...Schema[]]
);

/** An entry as its client made it; once the server has it, with the moment that counts for its order. */
export type Entry = z.infer<Schema> & { readonly effectiveAt?: string };
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>;

/** What the product knows of the kind of an entry. */
export const kindOf = (entry: Pick<Entry, 'kind'>): Kind<z.ZodType<Entry>> =>
	kinds[entry.kind] as unknown as Kind<z.ZodType<Entry>>;

/** Why an entry does not fit its job: the part is not on the mat, the size is not on the sheet, an overrule has no reason. */
export const checkEntry = (entry: Entry, job: JobFacts): EntryProblem | undefined => kindOf(entry).check(entry, job);

type Said = Pick<(typeof kinds)[EntryKind], 'bearsOnBuild' | 'ordered' | 'takesBack'>;
const kindsWhere = (is: (kind: Said) => boolean): readonly EntryKind[] =>
	(Object.keys(kinds) as EntryKind[]).filter((name) => is(kinds[name] as Said));

/** The gauge that an entry says was read; undefined where none was, or none is stated. */
export const gaugeOf = (entry: Entry): string | undefined => kindOf(entry).gauge(entry);

/** The kinds of entries that say how far a pump is together. */
export const kindsOfBuilding = kindsWhere(({ bearsOnBuild }) => bearsOnBuild);

/** The kinds of entries whose order the server holds. */
export const kindsInOrder = kindsWhere(({ ordered }) => ordered);

/** The kinds of entries that take others back. */
export const kindsTakingBack = kindsWhere(({ takesBack }) => takesBack !== undefined);
