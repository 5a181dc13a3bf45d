import { requireThat } from '../number';

export interface WearUsed {
	/** How far the characteristic has moved in the direction of wear, in its unit; below 0 where it moved the other way. */
	readonly worn: number;
	/** How far it may move, from the size as fitted to the discard limit. */
	readonly allowance: number;
	/** worn / allowance: 0 new, 1 at the limit. */
	readonly share: number;
}

/**
 * How much of its wear allowance a part has used.
 *
 * `start` is the size as fitted, or the nominal one where that was not measured; `limit` the discard limit on the side
 * to which it wears. Units: all three alike.
 * Errors: PreconditionError where the limit does not lie on the worn side of the start, or a value is not finite.
 *
 * @example wearUsed({ start: 18, value: 17.97, limit: 17.95 }) // worn 0.03 of 0.05: share 0.6
 */
export function wearUsed({ start, value, limit }: { start: number; value: number; limit: number }): WearUsed {
	for (const [name, number] of Object.entries({ start, value, limit })) {
		requireThat(Number.isFinite(number), 'wearUsed', name, number, 'a finite number');
	}
	requireThat(limit !== start, 'wearUsed', 'limit', limit, `a discard limit away from the start ${start}`);
	const direction = Math.sign(limit - start);
	const worn = (value - start) * direction;
	const allowance = Math.abs(limit - start);
	return { worn, allowance, share: worn / allowance };
}
