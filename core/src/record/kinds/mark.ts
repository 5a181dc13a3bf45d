import { z } from 'zod';
import { ofPart, schemaOf } from './common';
import { partKind } from './kind';

/** A mark painted on the unrolled surface: mm from the pressure side, degrees round; an arc may run past 360. */
const schema = schemaOf(
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
export type Mark = z.infer<typeof schema>;

export interface Marks {
	/** Marks painted on its unrolled surface. */
	readonly marks: readonly Mark[];
}

export const mark = partKind(schema, {
	add: (record, entry) => ({ ...record, marks: [...record.marks, entry] }),
	check: ({ payload: { fromMm, toMm } }, { surface, name }) => {
		const onSurface = surface !== undefined && fromMm >= 0 && toMm <= surface.lengthMm && fromMm <= toMm;
		return onSurface ? undefined : { code: 'markOffSurface', part: name };
	}
});
