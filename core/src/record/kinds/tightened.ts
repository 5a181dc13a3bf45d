import { z } from 'zod';
import { readTorque, tighteningPasses, torqueWindow, type TighteningPass } from '../../build';
import { dimensionOf, isAsTyped } from '../../quantity';
import type { EntryProblem } from '../problem';
import type { Station } from '../sheet';
import { id, kind, ofPart, typed } from './common';

/** One bolt of a group tightened in one pass: the wrench let go at the set torque, or what it read. */
export const tightenedSchema = kind(
	'tightened',
	ofPart,
	z.strictObject({
		/** Which pass, and which bolt of the sheet's list, from 0. */
		pass: z.int().min(0).max(6),
		bolt: z.int().min(0).max(39),
		/** What the wrench read, N·m, and as it was typed; left out where it clicked, or went by feel. */
		read: z.strictObject({ valueNm: z.number().min(0).max(50_000), typed }).optional(),
		/** How far it was turned past hand-tight, degrees; left out where nobody counted. */
		turnDeg: z.number().min(0).max(720).optional(),
		/** The torque wrench of the shop that was used; left out if it is not stated. */
		wrench: id.optional(),
		/** Without a wrench, though a torque is stated. */
		byFeel: z.literal(true).optional()
	})
);
export type Tightened = z.infer<typeof tightenedSchema>;

export interface Tightenings {
	/** In order of time: of one bolt in one pass the last stands. */
	readonly tightened: readonly Tightened[];
}

export const addTightened = <R extends Tightenings>(record: R, entry: Tightened): R => ({
	...record,
	tightened: [...record.tightened, entry]
});

/** A bolt of the round in hand, and how its last tightening lies against the window: undefined where nobody has been there. */
interface BoltState {
	readonly pass: number;
	readonly bolt: number;
	readonly against?: 'within' | 'below' | 'beyond';
}

/** Every bolt of a group in the order in which it is tightened, pass by pass. Nothing where the station is no fastener. */
export function boltStates({ fastening }: Pick<Station, 'fastening'>, { tightened }: Tightenings): BoltState[] {
	if (!fastening) return [];
	const against = (pass: TighteningPass, i: number, bolt: number): Pick<BoltState, 'against'> => {
		const last = tightened.findLast(({ payload }) => payload.pass === i && payload.bolt === bolt);
		if (!last) return {};
		const window = torqueWindow(fastening, pass.share);
		const { read } = last.payload;
		return { against: read && window ? readTorque(read.valueNm, read.typed.unit, window).against : 'within' };
	};
	return tighteningPasses(fastening).flatMap((pass, i) =>
		pass.order.map((bolt): BoltState => ({ pass: i, bolt, ...against(pass, i, bolt) }))
	);
}

/** The bolt whose turn it is: the first that is not within its window. Undefined once the whole group is tight. */
export const nextBolt = (station: Pick<Station, 'fastening'>, record: Tightenings): BoltState | undefined =>
	boltStates(station, record).find(({ against }) => against !== 'within');

/** Whether a group needs no more: every bolt within its window in every pass, or no fastener at all. */
export const groupTightened = (station: Pick<Station, 'fastening'>, record: Tightenings): boolean =>
	nextBolt(station, record) === undefined;

/**
 * How a group was tightened: entirely by the wrench, or by feel, for at least one bolt or because no torque is stated.
 * Undefined before the first bolt.
 */
export const tightenedBy = (
	{ fastening }: Pick<Station, 'fastening'>,
	{ tightened }: Tightenings
): 'wrench' | 'feel' | undefined => {
	if (!fastening || tightened.length === 0) return undefined;
	const standing = new Map(tightened.map(({ payload }) => [`${payload.pass}/${payload.bolt}`, payload]));
	return fastening.torqueNm === undefined || [...standing.values()].some(({ byFeel }) => byFeel) ? 'feel' : 'wrench';
};

/** Whether a bolt can be tightened so: it is of this group, its turn has come, and what was typed is a torque. */
export function checkTightened(
	{ payload: { pass, bolt, read, turnDeg = 0 } }: Tightened,
	station: Station,
	record: Tightenings,
	isIn: boolean,
	holdOrder: boolean
): EntryProblem | undefined {
	const part = station.name;
	const states = boltStates(station, record);
	const own = states.find((one) => one.pass === pass && one.bolt === bolt);
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
