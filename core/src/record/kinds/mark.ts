import { z } from 'zod';
import type { EntryProblem } from '../problem';
import type { Station } from '../sheet';
import { kind, ofPart } from './common';

/** A mark painted on the unrolled surface: mm from the pressure side, degrees round; an arc may run past 360. */
export const markSchema = kind(
	'mark',
	ofPart,
	z
		.strictObject({
			shape: z.enum(['line', 'band', 'point', 'crack']),
			fromMm: z.number().min(0).max(2000),
			toMm: z.number().min(0).max(2000),
			fromDeg: z.number().min(0).lt(360),
			toDeg: z.number().min(0).max(720)
		})
		.refine(({ fromMm, toMm }) => toMm >= fromMm, { message: 'ends before it begins', path: ['toMm'] })
		.refine(({ fromDeg, toDeg }) => toDeg >= fromDeg && toDeg - fromDeg <= 360, {
			message: 'must go once round at most',
			path: ['toDeg']
		})
);
export type Mark = z.infer<typeof markSchema>;

export interface Marks {
	/** Marks painted on its unrolled surface. */
	readonly marks: readonly Mark[];
}

export const addMark = <R extends Marks>(record: R, mark: Mark): R => ({ ...record, marks: [...record.marks, mark] });

export function checkMark({ payload: { fromMm, toMm } }: Mark, { surface, name }: Station): EntryProblem | undefined {
	const onSurface = surface !== undefined && fromMm >= 0 && toMm <= surface.lengthMm && fromMm <= toMm;
	return onSurface ? undefined : { code: 'markOffSurface', part: name };
}
