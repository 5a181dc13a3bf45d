import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deliveryOf, type CoverProblem } from '.';

const problem: CoverProblem = {
	needs: [
		{ station: 'packing', pieces: 6 },
		{ station: 'oRing', pieces: 3 },
		{ station: 'plunger', pieces: 1 }
	],
	stock: [],
	offers: [
		{ number: 'MAR-101', price: 9, holds: [{ station: 'packing', pieces: 1 }] },
		{ number: 'MAR-102', price: 2, holds: [{ station: 'oRing', pieces: 1 }] },
		{
			number: 'KIT',
			price: 40,
			holds: [
				{ station: 'packing', pieces: 4 },
				{ station: 'oRing', pieces: 3 },
				{ station: 'gasket', pieces: 3 }
			]
		}
	]
};

describe('deliveryOf', () => {
	it('names the kit of what comes out of it, and what was bought beside it', () =>
		expect(deliveryOf(problem, { KIT: 1, 'MAR-101': 2 })).toEqual([
			{ station: 'packing', pieces: 4, number: 'KIT' },
			{ station: 'oRing', pieces: 3, number: 'KIT' },
			{ station: 'packing', pieces: 2, number: 'MAR-101' }
		]));
	it('books in no more than is needed, however much is bought', () =>
		fc.assert(
			fc.property(fc.nat(9), fc.nat(9), fc.nat(9), (kit, packings, rings) => {
				const delivered = deliveryOf(problem, { KIT: kit, 'MAR-101': packings, 'MAR-102': rings, other: 4 });
				for (const { station, pieces } of problem.needs) {
					const came = delivered.reduce((sum, other) => sum + (other.station === station ? other.pieces : 0), 0);
					const could = { packing: 4 * kit + packings, oRing: 3 * kit + rings, plunger: 0 }[station]!;
					expect(came).toBe(Math.min(pieces, could));
				}
				expect(delivered.every(({ station }) => station !== 'gasket')).toBe(true);
			})
		));
	it('refuses what is no count', () => expect(() => deliveryOf(problem, { KIT: 0.5 })).toThrow('deliveryOf'));
});
