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
const LATEST = '9999-12-31T23:59:59.999Z';

/** What every entry carries. */
export const common = {
	id,
	job: id,
	by: z.string().min(1).max(64),
	/** The moment by the clock of the tablet that made it, right or wrong. */
	at: z.iso.datetime().refine((at) => at >= EARLIEST && at <= LATEST, 'lies outside of the years 1970 to 9999'),
	/** What that clock was behind the server's when last compared, in ms; left out where nobody compared it. */
	offsetMs: z.int().min(-1e13).max(1e13).optional(),
	/** Counts this tablet's entries, to tell apart those of one moment. */
	seq: z.int().min(0).optional()
};
export const ofPart = { ...common, part: id };

export const kind = <K extends string, P extends z.ZodType, B extends z.ZodRawShape>(name: K, base: B, payload: P) =>
	z.strictObject({ ...base, kind: z.literal(name), payload });

/** What was typed, as it was typed. */
export const typed = z.strictObject({ text: z.string().max(40), unit: z.enum(units as [Unit, ...Unit[]]) });
