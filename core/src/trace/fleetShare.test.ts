import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceOfFinds, fixWorked, fleetShare, type Finds } from '.';

const place = (events: number, inspections: number): Finds => ({ events, inspections });
const like = (of: Finds, times: number): Finds[] => Array.from({ length: times }, () => of);

describe('fleetShare', () => {
	it('finds a known beta again in many places', () => {
		// Beta–binomial(10; 2, 6), its exact shares times 10,000: what 10,000 such places show on average.
		const beta = (a: number, b: number) => Math.exp(lgamma(a) + lgamma(b) - lgamma(a + b));
		const choose = (k: number) => Math.exp(lgamma(11) - lgamma(k + 1) - lgamma(11 - k));
		const places = Array.from({ length: 11 }, (_, k) => {
			const share = (choose(k) * beta(2 + k, 16 - k)) / beta(2, 6);
			return like(place(k, 10), Math.round(share * 10_000));
		}).flat();
		const found = fleetShare(places)!;
		if (found.kind !== 'spread') throw new Error(found.kind);
		expect(found.alpha).toBeCloseTo(2, 1);
		expect(found.beta).toBeCloseTo(6, 0);
	});
	it('sees one share where places vary no more than chance makes them', () =>
		expect(fleetShare([...like(place(2, 10), 20), ...like(place(3, 10), 20)])).toEqual({ kind: 'pooled', mean: 0.25 }));
	it('keeps open what so many clean inspections leave possible, and says nothing without one', () => {
		expect(fleetShare(like(place(0, 5), 4))).toEqual({ kind: 'spread', alpha: 0.5, beta: 20.5 });
		expect(fleetShare(like(place(5, 5), 1))).toEqual({ kind: 'spread', alpha: 5.5, beta: 0.5 });
		expect(fleetShare([place(0, 0)])).toBeUndefined();
	});
	it('refuses more finds than inspections', () => expect(() => fleetShare([place(3, 2)])).toThrow('a count from 3'));
});

describe('chanceOfFinds', () => {
	it('is the predictive chance of a beta, worked by hand', () =>
		// Both kinds of place are Beta(1, 1); after one find in one: Beta(2, 1); P(0 of 2) = ∫ 2p(1 − p)² dp = 1/6.
		expect(chanceOfFinds(place(0, 2), place(1, 1), { kind: 'spread', alpha: 1, beta: 1 }, 1)).toBeCloseTo(1 / 6, 12));
	it('takes a place within the others’ spread for one of them, and one far beyond it for one of its own', () => {
		const usual = { kind: 'pooled', mean: 0.3 } as const;
		expect(chanceOfFinds(place(0, 4), place(2, 4), usual, 35)).toBeCloseTo(0.7 ** 4, 1);
		expect(chanceOfFinds(place(0, 6), place(12, 12), { kind: 'pooled', mean: 0.02 }, 35)).toBeLessThan(0.001);
	});
	it('is a probability that falls with every clean inspection', () => {
		const share = fc.oneof(
			fc.record({
				kind: fc.constant('spread' as const),
				alpha: fc.double({ min: 0.1, max: 50, noNaN: true }),
				beta: fc.double({ min: 0.1, max: 50, noNaN: true })
			}),
			fc.record({ kind: fc.constant('pooled' as const), mean: fc.double({ min: 1e-3, max: 0.999, noNaN: true }) })
		);
		fc.assert(
			fc.property(share, fc.nat(20), fc.nat(20), fc.integer({ min: 1, max: 40 }), (fleet, found, clean, others) => {
				const chances = [0, 1, 2, 5].map((n) => chanceOfFinds(place(0, n), place(found, found + clean), fleet, others));
				expect(chances[0]).toBeCloseTo(1, 9);
				for (const [i, chance] of chances.slice(1).entries()) expect(chance).toBeLessThanOrEqual(chances[i] + 1e-12);
			}),
			{ numRuns: 200 }
		);
	});
});

describe('a fix at the worst of alike places', () => {
	const side = (events: number, inspections: number) => ({ events, inspections, exposure: inspections * 1500 });
	it('is not called one where a return to the usual explains it', () => {
		const others = [...like(place(2, 6), 20), ...like(place(3, 6), 10), ...like(place(1, 6), 5)];
		expect(fixWorked(side(5, 6), side(1, 6)).verdict).toBe('worked');
		expect(fixWorked(side(5, 6), side(1, 6), 0.95, others).verdict).toBe('open');
	});
	it('is called one where the place was beyond the others, after as many inspections as are asked for', () => {
		const others = like(place(0, 6), 35);
		const { inspectionsNeeded } = fixWorked(side(5, 6), side(0, 0), 0.95, others);
		expect(inspectionsNeeded).toBeGreaterThan(2);
		expect(fixWorked(side(5, 6), side(0, inspectionsNeeded!), 0.95, others).verdict).toBe('worked');
		expect(fixWorked(side(5, 6), side(0, inspectionsNeeded! - 1), 0.95, others).verdict).toBe('open');
	});
});

// Stirling's series, for the reference alone.
function lgamma(x: number): number {
	let [shift, z] = [0, x];
	for (; z < 20; z++) shift -= Math.log(z);
	return shift + (z - 0.5) * Math.log(z) - z + Math.log(2 * Math.PI) / 2 + 1 / (12 * z) - 1 / (360 * z ** 3);
}
