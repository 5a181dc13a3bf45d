import { z } from 'zod';
import { dimensionOf, isAsTyped } from '../../quantity';
import { boltStates } from '../bolts';
import type { EntryProblem } from '../problem';
import type { Station } from '../sheet';
import { inPump } from '../together';
import { id, ofPart, schemaOf, typed } from './common';
import { partKind } from './kind';

/** One bolt of a group tightened in one pass: the wrench clicked at the set torque, or what it read. */
const schema = schemaOf(
	'tightened',
	ofPart,
	z.strictObject({
		/** Which pass, and which bolt of the sheet's list, from 0. */
		pass: z.int().min(0).max(6),
		bolt: z.int().min(0).max(39),
		/** What the wrench read, N·m, and as it was typed; left out where it clicked, or went by feel. */
		read: z.strictObject({ valueNm: z.number().min(0).max(50_000), typed }).optional(),
		/** How far it was turned past hand-tight, degrees; left out where it was not counted. */
		turnDeg: z.number().min(0).max(720).optional(),
		/** The torque wrench of the shop that was used; left out if it is not stated. */
		wrench: id.optional(),
		/** Without a wrench, though a torque is stated. */
		byFeel: z.literal(true).optional()
	})
);
export type Tightened = z.infer<typeof schema>;

export interface Tightenings {
	/** In order of time: of one bolt in one pass the last stands. */
	readonly tightened: readonly Tightened[];
}

export const tightened = partKind(schema, {
	add: (record, entry) => ({ ...record, tightened: [...record.tightened, entry] }),
	check: (entry, _, { together, holdOrder }) => {
		const build = together();
		const place = build.places.get(entry.part);
		if (!place) return { code: 'unknownPart' };
		return checkTightened(entry, place.station, place.record, inPump(build, place), holdOrder);
	},
	bearsOnBuild: true,
	ordered: true,
	gauge: ({ payload }) => payload.wrench
});

/** Whether a bolt can be tightened so: it is of this group, its turn has come, and what was typed is a torque. */
function checkTightened(
	{ payload: { pass, bolt, read, turnDeg = 0 } }: Tightened,
	station: Station,
	record: Tightenings,
	isIn: boolean,
	holdOrder: boolean
): EntryProblem | undefined {
	const part = station.name;
	const states = boltStates(station, record);
	const own = states.find((state) => state.pass === pass && state.bolt === bolt);
	if (!own) return { code: 'noSuchBolt', part, bolt: bolt + 1 };
	if (read && dimensionOf(read.typed.unit) !== 'torque')
		return { code: 'wrongUnit', typed: read.typed.unit, expected: 'Nm' };
	if (read && !isAsTyped(read.valueNm, read.typed))
		return { code: 'notAsTyped', value: read.valueNm, text: read.typed.text, unit: read.typed.unit };
	const mostDeg = station.fastening?.mostTurnDeg ?? Infinity;
	if (turnDeg > mostDeg) return { code: 'turnedTooFar', part, turnDeg, mostDeg };
	if (!holdOrder) return undefined;
	if (!isIn) return { code: 'notInYet', part };
	if (own.against === 'within') return { code: 'boltTwice', part, bolt: bolt + 1, pass: pass + 1 };
	const next = states.find(({ against }) => against !== 'within')!;
	if (next !== own) {
		const after = { before: next.bolt + 1, beforePass: next.pass + 1 };
		return { code: 'boltOutOfTurn', part, bolt: bolt + 1, ...after };
	}
	return undefined;
}
