import { requireThat } from '../number';

/** How a slotted nut is brought to its pin: on, never back. */
export interface SlotAhead {
	/** How far to turn on, degrees; 0 where a slot stands at the hole already. */
	readonly turnDeg: number;
	/** What the nut will have been tightened to there; left out where no one knows how the torque rises. */
	readonly torqueNm?: number;
	/** False where that is more than the most torque: another nut or washer brings the slot round. Left out where it cannot be told. */
	readonly mayTurn?: boolean;
}

/** A slot within this of the hole lets the pin through. */
const PIN_PLAY_DEG = 1;

/**
 * How far a slotted nut has to be turned on from its least torque until a slot stands at the hole of the rod. The hole goes
 * right through, and the pin leaves the nut on both sides: slots lie in opposite pairs, their number is even.
 *
 * Units: `aheadDeg` degrees from the hole on to the next slot as the nut stands (any angle, taken within a slot's pitch);
 * torques N·m, their rise in N·m per degree, as read over the last part of the turn. Errors: PreconditionError for slots
 * that are not 4 to 12 in opposite pairs, an angle that is no number, a negative torque or rise.
 *
 * @example nextSlot({ slots: 6, aheadDeg: 22, torqueNm: 60, riseNmPerDeg: 0.5, mostNm: 75 }) // on by 22°, to 71 N·m
 */
export function nextSlot(nut: {
	readonly slots: number;
	readonly aheadDeg: number;
	readonly torqueNm: number;
	readonly riseNmPerDeg?: number;
	readonly mostNm?: number;
}): SlotAhead {
	const { slots, aheadDeg, torqueNm, riseNmPerDeg: rise, mostNm } = nut;
	requireThat(slots % 2 === 0 && slots >= 4 && slots <= 12, 'nextSlot', 'slots', slots, 'even, 4 to 12');
	requireThat(Number.isFinite(aheadDeg), 'nextSlot', 'aheadDeg', aheadDeg, 'a finite angle');
	requireThat(torqueNm >= 0 && torqueNm < 1e6, 'nextSlot', 'torqueNm', torqueNm, 'at least 0');
	requireThat(rise === undefined || (rise >= 0 && rise < 1e4), 'nextSlot', 'riseNmPerDeg', rise, 'at least 0');
	requireThat(mostNm === undefined || (mostNm > 0 && mostNm < 1e6), 'nextSlot', 'mostNm', mostNm, 'above 0');
	const pitch = 360 / slots;
	const ahead = ((aheadDeg % pitch) + pitch) % pitch;
	const turnDeg = Math.min(ahead, pitch - ahead) <= PIN_PLAY_DEG ? 0 : ahead;
	if (turnDeg > 0 && rise === undefined) return { turnDeg };
	const there = torqueNm + turnDeg * (rise ?? 0);
	return { turnDeg, torqueNm: there, ...(mostNm === undefined ? {} : { mayTurn: there <= mostNm }) };
}
