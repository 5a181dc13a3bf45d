import { z } from 'zod';
import { words } from './kinds/common';
import { nameText } from './nameText';

/** Whose pump it is and what they are told: asked at Receive, written at Release. What was not said is left out. */
export const customerSchema = z.strictObject({
	name: nameText(200).min(1).optional(),
	/** Their own number for this work. */
	orderNumber: nameText(80).min(1).optional(),
	/** The day by which it was promised: "2026-03-01". */
	promisedOn: z.iso.date().optional(),
	/** For their report: what made the pump fail, and what they should do. */
	cause: words.optional(),
	advice: words.optional()
});
/** The largest logo of a shop that is read. */
export const LOGO_MOST = { bytes: 2_000_000, pixels: 20_000_000 } as const;

export type Customer = z.infer<typeof customerSchema>;
