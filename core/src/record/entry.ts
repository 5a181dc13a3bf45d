import { z } from 'zod';
import { answerSchema } from './kinds/answer';
import { arrivedSchema } from './kinds/arrived';
import { asFoundSchema } from './kinds/asFound';
import { cleanSchema } from './kinds/clean';
import { cylinderDoneSchema } from './kinds/cylinderDone';
import { correctionSchema } from './kinds/correction';
import { decisionSchema } from './kinds/decision';
import { findingSchema } from './kinds/finding';
import { fittedSchema } from './kinds/fitted';
import { markSchema } from './kinds/mark';
import { noteSchema } from './kinds/note';
import { photoSchema } from './kinds/photo';
import { readingSchema } from './kinds/reading';
import { proofSchema } from './kinds/proof';
import { putInSchema } from './kinds/putIn';
import { stepDoneSchema } from './kinds/step';
import { tightenedSchema } from './kinds/tightened';
import { unitInSchema } from './kinds/unitIn';
import { withdrawSchema } from './kinds/withdraw';

/** One line of the bench log: made by the client, never updated, never deleted. One file a kind, in `kinds/`. */
export const entrySchema = z.discriminatedUnion('kind', [
	asFoundSchema,
	findingSchema,
	cleanSchema,
	readingSchema,
	fittedSchema,
	markSchema,
	noteSchema,
	photoSchema,
	decisionSchema,
	putInSchema,
	unitInSchema,
	tightenedSchema,
	proofSchema,
	arrivedSchema,
	stepDoneSchema,
	cylinderDoneSchema,
	answerSchema,
	withdrawSchema,
	correctionSchema
]);

/** An entry as its client made it; once the server has it, with the moment that counts for its order. */
export type Entry = z.infer<typeof entrySchema> & { readonly effectiveAt?: string };
export type EntryKind = Entry['kind'];
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>;

/** The gauge that an entry says was read; undefined where none was, or nobody said which. */
export function gaugeOf(entry: Entry): string | undefined {
	if (entry.kind === 'reading') return entry.payload.gauge;
	if (entry.kind === 'tightened') return entry.payload.wrench;
	return entry.kind === 'proof' && entry.payload.test === 'hold' ? entry.payload.gauge : undefined;
}

/**
 * The moment that counts for an entry's order, ms since 1970: the server's word once it has the entry, else the tablet's
 * own clock put right by what it was off when last compared.
 */
export const effectiveTime = ({
	at,
	offsetMs = 0,
	effectiveAt
}: Pick<Entry, 'at' | 'offsetMs' | 'effectiveAt'>): number =>
	effectiveAt === undefined ? Date.parse(at) + offsetMs : Date.parse(effectiveAt);
