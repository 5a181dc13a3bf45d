import { z } from 'zod';
import { unitKeptOut } from '../checkBuild';
import type { EntryProblem } from '../problem';
import { unitPlace, type Together } from '../together';
import { common, schemaOf, words } from './common';
import { jobKind, notSafe } from './kind';

/** A sub-assembly that was joined on the bench put into its place: the pump, or the sub-assembly that holds it. */
const schema = schemaOf(
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
export type UnitIn = z.infer<typeof schema>;

export const unitIn = jobKind({
	schema,
	add: ({ unitsIn }, entry) => unitsIn.set(unitPlace(entry.payload.unit, entry.payload.cylinder), entry),
	check: (entry, job) => notSafe(job) ?? checkUnitIn(entry, job.together(), job.holdOrder),
	bearsOnBuild: true,
	ordered: true
});

/** Whether a sub-assembly may go in now; its order may be gone against with a reason. */
function checkUnitIn({ payload }: UnitIn, build: Together, holdOrder: boolean): EntryProblem | undefined {
	const place = build.units.get(unitPlace(payload.unit, payload.cylinder));
	if (!place) return { code: 'unknownUnit', unit: payload.unit };
	return unitKeptOut(build, place, holdOrder && payload.despite === undefined);
}
