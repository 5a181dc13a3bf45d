import { z } from 'zod';
import { units, type Unit } from '../../quantity';

export const id = z.uuid().toLowerCase();

/** Free text: what PostgreSQL and JSON can both hold, so no NUL and no half of a surrogate pair. */
export const words = z
	.string()
	.trim()
	.min(1)
	.max(2000)
	.refine((text) => !text.includes('\0') && text.isWellFormed(), 'holds a character that cannot be stored');

const EARLIEST = '1970-01-01T00:00:00Z';
const LATEST = '2100-12-31T23:59:59.999Z';

/** A tablet without a battery counts from 1970, sixty years behind: no clock is further off. */
const MOST_OFFSET_MS = 70 * 366 * 86_400_000;

/** What every entry carries. */
export const common = {
	id,
	job: id,
	by: z.string().min(1).max(64),
	/** The moment by the clock of the tablet that made it, right or wrong. */
	at: z.iso.datetime().refine((at) => at >= EARLIEST && at <= LATEST, 'lies outside of the years 1970 to 2100'),
	/** What that clock was behind the server's when last compared, in ms; left out where it was not compared. */
	offsetMs: z.int().min(-MOST_OFFSET_MS).max(MOST_OFFSET_MS).optional(),
	/** Counts this tablet's entries, to tell apart those of one moment. */
	seq: z.int().min(0).optional()
};
export const ofPart = { ...common, part: id };

/** The schema of one kind of entry. */
export const schemaOf = <K extends string, P extends z.ZodType, B extends z.ZodRawShape>(
	name: K,
	base: B,
	payload: P
) => z.strictObject({ ...base, kind: z.literal(name), payload });

/** What was typed, as it was typed. */
export const typed = z.strictObject({ text: z.string().max(40), unit: z.enum(units as [Unit, ...Unit[]]) });
