import { z } from 'zod';

/** Pieces of one station taken for the job out of the shop's own drawer. */
export const takeSchema = z.object({
	station: z.string().min(1).max(60),
	pieces: z.coerce.number().int().min(1).max(1000)
});

/** What is bought, by number of the offer, as the page's address carries it. */
export const boughtSchema = z.record(z.string().min(1).max(120), z.number().int().min(0).max(10_000));
