import { z } from 'zod';

/** Pumps that a word has found, as the server tells them. */
export const foundPumpsSchema = z.array(
	z.object({
		id: z.uuid(),
		serial: z.string(),
		tag: z.string().nullable(),
		site: z.string().nullable(),
		model: z.string(),
		rebuilds: z.number(),
		meterHours: z.number().nullable(),
		lastReceived: z.coerce.date().nullable(),
		customer: z.string().nullable()
	})
);
export type FoundPump = z.infer<typeof foundPumpsSchema>[number];

/** A pump in a line: "MAR-0165, Standby (Hotel Saltholm)". */
export const pumpLine = ({ serial, tag, site }: Pick<FoundPump, 'serial' | 'tag' | 'site'>): string =>
	`${serial}${tag ? `, ${tag}` : ''}${site ? ` (${site})` : ''}`;
