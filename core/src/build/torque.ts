import { fromBase, toBase, unitsOf, type Unit } from '../quantity';
import { finiteAnswer, requireThat } from '../number';
import { boltGeometry, type Bolt } from './boltGeometry';
import type { BoltGroup } from './bolts';

/** What a bolt may be tightened to in one pass, N·m. */
interface TorqueWindow {
	readonly targetNm: number;
	readonly leastNm: number;
	readonly mostNm: number;
}

/** How far a hand torque wrench may be off: 4 %, below 10 N·m 6 %. Source: ISO 6789-1:2017, 5.1.5, types I and II. */
const wrenchError = (nm: number): number => (nm < 10 ? 0.06 : 0.04);

/**
 * The window of one pass: the share of the stated torque, as closely as a hand wrench can hold it; at the whole torque up
 * to what the sheet calls the most. Undefined where no one has stated a torque.
 *
 * Units: N·m. Errors: PreconditionError for a share or torque that is none.
 */
export function torqueWindow(
	{ torqueNm, mostNm }: Pick<BoltGroup, 'torqueNm' | 'mostNm'>,
	share: number
): TorqueWindow | undefined {
	requireThat(share > 0 && share <= 1, 'torqueWindow', 'share', share, 'above 0, at most 1');
	if (torqueNm === undefined) return undefined;
	requireThat(torqueNm > 0 && torqueNm < 1e6, 'torqueWindow', 'torqueNm', torqueNm, 'above 0');
	const targetNm = share * torqueNm;
	const off = wrenchError(targetNm) * targetNm;
	return { targetNm, leastNm: targetNm - off, mostNm: share === 1 && mostNm ? mostNm : targetNm + off };
}

/** Where a reading lies against its window, and in which other unit the same number would lie inside. */
interface TorqueReading {
	readonly against: 'within' | 'below' | 'beyond';
	/** The unit that was probably meant. */
	readonly suspect?: Unit;
}

const EDGE = 1e-9; // a window's own end, typed in another unit, lies inside

/**
 * A wrench reading against its window. One that lies outside, while the same digits in another unit of torque lie inside,
 * was probably read or typed in that one.
 *
 * Units: N·m. Errors: PreconditionError for a reading that is negative or no number.
 */
export function readTorque(valueNm: number, typedIn: Unit, { leastNm, mostNm }: TorqueWindow): TorqueReading {
	requireThat(valueNm >= 0 && Number.isFinite(valueNm), 'readTorque', 'valueNm', valueNm, 'at least 0');
	const inside = (nm: number) => nm >= leastNm * (1 - EDGE) && nm <= mostNm * (1 + EDGE);
	if (inside(valueNm)) return { against: 'within' };
	const digits = fromBase(valueNm, typedIn);
	const suspect = unitsOf('torque').find((unit) => unit !== typedIn && inside(toBase(digits, unit)));
	return { against: valueNm < leastNm ? 'below' : 'beyond', ...(suspect ? { suspect } : {}) };
}

/** A bolt's pull in N, and between what it scatters when it is tightened by torque. */
export interface ClampLoad {
	readonly loadN: number;
	readonly leastN: number;
	readonly mostN: number;
}

/** Most over least load, tightened by a torque wrench with friction estimated: VDI 2230-1:2015, table A8. */
const TIGHTENING_FACTOR = 1.6;

/**
 * The clamp load that a torque gives: F = T ÷ (P/2π + µ·d₂/(2 cos 30°) + µ·D/2), with coarse pitch, d₂ = d − 0.6495·P and a
 * head that bears at D = 1.3·d in the mean.
 *
 * Units: N·m, mm, N. Errors: PreconditionError for a torque, thread or friction outside of M3 to M36 and 0 to 1.
 * Source: VDI 2230-1:2015, 5.4.3.1 and table A8 (scatter).
 *
 * @example clampLoad(46, { diameterMm: 10, friction: 0.12 }).loadN // 27 979
 */
export function clampLoad(torqueNm: number, bolt: Bolt): ClampLoad {
	requireThat(torqueNm >= 0 && torqueNm < 1e6, 'clampLoad', 'torqueNm', torqueNm, 'at least 0');
	const { leverMm } = boltGeometry('clampLoad', bolt);
	const loadN = finiteAnswer('clampLoad', (1000 * torqueNm) / leverMm);
	const leastN = (2 * loadN) / (1 + TIGHTENING_FACTOR);
	return { loadN, leastN, mostN: TIGHTENING_FACTOR * leastN };
}
