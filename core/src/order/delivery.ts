import { requireThat } from '../number';
import type { Bought, CoverProblem } from './cover';

/** Pieces of one station that come with a delivery, and the number of the offer that they come out of. */
export interface Delivered {
	readonly station: string;
	readonly pieces: number;
	readonly number: string;
}

/**
 * What of a whole delivery the job needs: the pieces of each station by the offer that they come out of, no more than are needed. What
 * holds most comes first, so that a kit's parts are told from those that were bought beside it.
 *
 * Errors: PreconditionError for counts that are none. An offer that is not known is passed over.
 *
 * @example deliveryOf({ needs: [{ station: 'seal', pieces: 3 }], stock: [], offers: [{ number: 'S', price: 4, holds: [{ station: 'seal', pieces: 1 }] }] }, { S: 5 }) // [{ station: 'seal', pieces: 3, number: 'S' }]
 */
export function deliveryOf({ needs, offers }: CoverProblem, bought: Bought): Delivered[] {
	const left = new Map(needs.map(({ station, pieces }) => [station, pieces]));
	return offers
		.toSorted((a, b) => b.holds.length - a.holds.length)
		.flatMap(({ number, holds }) => {
			const count = bought[number] ?? 0;
			requireThat(Number.isInteger(count) && count >= 0 && count <= 1e6, 'deliveryOf', number, count, 'a count');
			return holds.flatMap(({ station, pieces: held }) => {
				const pieces = Math.min(count * held, left.get(station) ?? 0);
				if (pieces > 0) left.set(station, left.get(station)! - pieces);
				return pieces > 0 ? [{ station, pieces, number }] : [];
			});
		});
}
