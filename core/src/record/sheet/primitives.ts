import { z } from 'zod';
import { units, type Unit } from '../../quantity';

/** Finite, and of a size that any quantity on a sheet stays far below. */
export const number = z.number().min(-1e9).max(1e9);
export const key = z
	.string()
	.max(60)
	.regex(/^[a-zA-Z][a-zA-Z0-9]*$/, 'letters and digits only, starting with a letter');
export const text = z.string().trim().min(1).max(400);
export const unit = z.enum(units as [Unit, ...Unit[]]);

/** Choices of variants with which something applies, by variant; left out: always. */
export const onlyWithSchema = z.record(key, z.array(key).min(1).max(12)).optional();
export type OnlyWith = z.infer<typeof onlyWithSchema>;

export const hazards = ['pressure', 'heat', 'weight', 'spring', 'pinch', 'chemical', 'damage', 'electric'] as const;
export const cautionSchema = z.strictObject({
	/** What can hurt: shown as the sign beside the text. */
	hazard: z.enum(hazards),
	text,
	onlyWith: onlyWithSchema
});
export type Caution = z.infer<typeof cautionSchema>;

/** Sides of a pump: the pressure side, toward the pumping chamber, and the crank side. */
export const faceSchema = z.enum(['P', 'C']);
export type Face = z.infer<typeof faceSchema>;
