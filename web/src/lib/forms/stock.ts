import { z } from 'zod';
import { rangeField } from './fields';

const PIECES = { least: 0, most: 10_000 };
const pieces = rangeField(PIECES, 'Type a whole number from 0 to 10 000.').refine(
	(text) => /^\d+$/.test(text.trim()),
	'Type a whole number.'
);

/** What lies in a drawer, and how much is always to be there. */
export const stockSchema = z.object({
	model: z.string().min(1).max(120),
	station: z.string().min(1).max(60),
	pieces: pieces.default('0'),
	floor: pieces.default('0')
});
