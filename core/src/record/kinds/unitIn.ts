import { z } from 'zod';
import { common, kind, words } from './common';

/** A sub-assembly that was joined on the bench put into its place: the pump, or the sub-assembly that holds it. */
export const unitInSchema = kind(
	'unitIn',
	common,
	z.strictObject({
		/** Key of a sub-assembly of the sheet. */
		unit: z.string().min(1).max(60),
		/** 0: the pump's own. */
		cylinder: z.int().min(0).max(12),
		/** Why it went in although something that should be in before it was not. */
		despite: words.optional()
	})
);
export type UnitIn = z.infer<typeof unitInSchema>;

/** A sub-assembly at its place, by one word. */
export const unitPlace = (unit: string, cylinder: number): string => `${unit}/${cylinder}`;
