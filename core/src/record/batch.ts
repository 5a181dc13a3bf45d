import { z } from 'zod';
import { refusedBecauseSchema } from './problem';

/** More entries than this in one batch are refused whole: an hour off the network makes a few hundred. */
export const MOST_ENTRIES = 2000;

/** What a client sends: entries of one job, recorded by one person. Each entry is read by itself, so that a bad one holds up no other. */
export const batchSchema = z.object({ by: z.string(), entries: z.array(z.unknown()).max(MOST_ENTRIES) });

/** What became of one entry of a batch; answers stand in the order of its entries. */
const entryAnswerSchema = z.discriminatedUnion('result', [
	z.object({ id: z.string(), result: z.enum(['accepted', 'duplicate']) }),
	z.object({ id: z.string(), result: z.literal('refused'), problem: refusedBecauseSchema })
]);
export type EntryAnswer = z.infer<typeof entryAnswerSchema>;

export const batchAnswerSchema = z.object({
	answers: z.array(entryAnswerSchema),
	/** The server’s clock as it answered, ms since 1970. */
	serverTime: z.number()
});
