import { readTorque, tighteningPasses, torqueWindow, type TighteningPass } from '../build';
import type { Tightenings } from './kinds/tightened';
import type { Station } from './sheet';

/** A bolt of the round in hand, and how its last tightening lies against the window: undefined where no one has been there. */
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
