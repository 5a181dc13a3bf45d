import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PreconditionError } from '../number';
import { besideOthers } from './besideOthers';

const at = (value: number, u = 0.005) => ({ value, u });
const plunger = { tolerance: 0.01, min: 17.9 };

describe('besideOthers', () => {
	it('says of one plunger among three how far it is below the others', () => {
		const said = besideOthers(at(17.93), [at(17.99), at(17.98)], plunger)!;
		expect(said).toMatchObject({ others: 2, says: 'wornMore' });
		expect(said.difference).toBeCloseTo(-0.055, 12);
		// By hand: 2 √(0.005² + 0.01²/3 + 2 (0.005² + 0.01²/3)/4) = 2 √(1.5 · 5.8333e-5).
		expect(said.U).toBeCloseTo(0.018708, 6);
	});
	it('is alike within the uncertainty, to which the tolerance of new parts belongs', () => {
		expect(besideOthers(at(17.98), [at(17.99)], plunger)!.says).toBe('alike');
		expect(besideOthers(at(17.95), [at(17.99)], { ...plunger, tolerance: 0.1 })!.says).toBe('alike');
	});
	it('knows the side on which a size wears, and says only that it differs where nothing says which', () => {
		expect(besideOthers(at(20.1), [at(20)], { tolerance: 0, max: 20.2 })!.says).toBe('wornMore');
		expect(besideOthers(at(19.9), [at(20)], { tolerance: 0, max: 20.2 })!.says).toBe('wornLess');
		expect(besideOthers(at(19.9), [at(20)], { tolerance: 0 })!.says).toBe('differs');
	});
	it('says nothing without another cylinder, and refuses what is no size', () => {
		expect(besideOthers(at(18), [], plunger)).toBeUndefined();
		expect(() => besideOthers(at(Number.NaN), [at(18)], plunger)).toThrow(PreconditionError);
		expect(() => besideOthers(at(18, -1), [at(18)], plunger)).toThrow(PreconditionError);
		expect(() => besideOthers(at(1e308), [at(-1e308)], plunger)).toThrow(PreconditionError);
	});
	it('changes its sign with its sizes and never says more of the same pumps turned round', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 100, noNaN: true }),
				fc.double({ min: -1, max: 1, noNaN: true }),
				(size, worn) => {
					const there = besideOthers(at(size + worn), [at(size)], { tolerance: 0.01 })!;
					const back = besideOthers(at(size), [at(size + worn)], { tolerance: 0.01 })!;
					expect(back.difference).toBeCloseTo(-there.difference, 9);
					expect(back.says).toBe(there.says);
				}
			)
		);
	});
});
