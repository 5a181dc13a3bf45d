import { z } from 'zod';
import { keptOut } from '../checkBuild';
import type { EntryProblem } from '../problem';
import { verdictOn, type Together } from '../together';
import { ofPart, schemaOf, words } from './common';
import { partKind } from './kind';

/** A part put back into its place, or joined to its sub-assembly: the one that came out, or a new one. */
const schema = schemaOf(
	'putIn',
	ofPart,
	z.strictObject({
		piece: z.enum(['same', 'new']),
		/** Why it went in although something that should be in before it was not. */
		despite: words.optional()
	})
);
export type PutIn = z.infer<typeof schema>;

export interface PutBack {
	readonly putIn?: PutIn;
}

export const putIn = partKind(schema, {
	add: (record, entry) => ({ ...record, putIn: entry }),
	check: (entry, _, job) => checkPutIn(entry, job.together(), job.holdOrder),
	bearsOnBuild: true,
	ordered: true
});

/** Whether this piece may go in now: nothing keeps it out but an order that is gone against with a reason, and it is the one that was decided on. */
function checkPutIn({ part, payload }: PutIn, build: Together, holdOrder: boolean): EntryProblem | undefined {
	const place = build.places.get(part);
	const verdict = place && verdictOn(place);
	if (verdict && (payload.piece === 'new') !== (verdict === 'replace'))
		return { code: 'otherPiece', part: place.station.name, decided: verdict };
	return keptOut(build, part, holdOrder && payload.despite === undefined);
}
