import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceWithin, compareRates, compareRatesWithin, type Stratum } from '.';
import { relativeError } from '../number/testing';

const stratum = ([k, e]: readonly [number, number], [l, f]: readonly [number, number]): Stratum => ({
	first: { events: k, exposure: e },
	second: { events: l, exposure: f }
});

describe('compareRatesWithin', () => {
	// scipy 1.17.1: binom.pmf of each stratum, numpy.convolve, brentq on the tails.
	it.each([
		[
			[stratum([4, 1000], [1, 3000]), stratum([6, 500], [7, 2500])],
			{ ratio: 5.444097208657793, low: 1.9207900719682334, high: 15.976219908045067, p: 0.0011050819323067701 }
		],
		[
			[stratum([0, 1000], [3, 4000]), stratum([0, 300], [5, 900])],
			{ ratio: 0, low: 0, high: 1.9458495273260528, p: 0.2429999999999999 }
		],
		[
			[stratum([5, 100], [0, 4000]), stratum([2, 300], [0, 900])],
			{ ratio: undefined, low: 38.836726469671504, high: undefined, p: 1.0789236909295863e-9 }
		],
		[
			[stratum([40, 5000], [60, 15000]), stratum([90, 3000], [410, 22000])],
			{ ratio: 1.6954542958962517, low: 1.381775022776787, high: 2.068465202550994, p: 6.876863333817791e-7 }
		]
	])('agrees with a convolution by an independent package', (strata, known) => {
		const told = compareRatesWithin(strata)!;
		for (const key of ['ratio', 'low', 'high', 'p'] as const)
			if (known[key] === undefined) expect(told[key]).toBeUndefined();
			else if (known[key] === 0) expect(told[key]).toBe(0);
			else expect(relativeError(told[key]!, known[key]), key).toBeLessThan(1e-8);
	});
	it('is the exact test of two rates where there is one stratum', () =>
		fc.assert(
			fc.property(fc.nat(300), fc.nat(300), fc.integer({ min: 1, max: 1e6 }), (k, l, exposure) => {
				const [first, second] = [
					{ events: k, exposure },
					{ events: l, exposure: 1000 }
				];
				const [within, alone] = [compareRatesWithin([{ first, second }])!, compareRates(first, second)];
				expect(within.p).toBeCloseTo(alone.p, 11);
				for (const key of ['ratio', 'low', 'high'] as const)
					if (alone[key] === undefined) expect(within[key]).toBeUndefined();
					else expect(Math.abs(within[key]! - alone[key])).toBeLessThanOrEqual(1e-7 * alone[key]);
			}),
			{ seed: 5 }
		));
	it('is not misled by a group that had been in longer, as the sum of all strata is', () => {
		// One and the same rate at each age; the first group's parts are nearly all old.
		const strata = [stratum([0, 100], [9, 9000]), stratum([45, 9000], [1, 200])];
		const crude = compareRates({ events: 45, exposure: 9100 }, { events: 10, exposure: 9200 });
		expect(crude.p).toBeLessThan(1e-5);
		expect(chanceWithin(strata)).toBeGreaterThan(0.5);
	});
	it('leaves out strata that one group alone was in, and says nothing where that is all', () => {
		const shared = stratum([4, 1000], [1, 3000]);
		expect(compareRatesWithin([shared, stratum([7, 500], [0, 0])])).toEqual(compareRatesWithin([shared]));
		expect(compareRatesWithin([stratum([7, 500], [0, 0])])).toBeUndefined();
		expect(compareRatesWithin([])).toBeUndefined();
		expect(compareRatesWithin([stratum([0, 500], [0, 100])])).toEqual({ low: 0, p: 1 });
	});
	it('raises false alarms in no more than their share of cases', () => {
		// Every outcome of 6 and 5 events in two strata: the exact chance that p falls to 0.05 or below.
		let chance = 0;
		for (let a = 0; a <= 6; a++)
			for (let b = 0; b <= 5; b++)
				if (chanceWithin([stratum([a, 1], [6 - a, 2]), stratum([b, 3], [5 - b, 1])])! <= 0.05)
					chance += binomial(6, a) * (1 / 3) ** a * (2 / 3) ** (6 - a) * binomial(5, b) * 0.75 ** b * 0.25 ** (5 - b);
		expect(chance).toBeLessThanOrEqual(0.05);
		expect(chance).toBeGreaterThan(0);
	});
	it('stays a probability far out, and with many events', () => {
		const far = compareRatesWithin([stratum([1e4, 1], [0, 1e9]), stratum([20, 5], [30000, 1e5])])!;
		expect(far.p).toBeGreaterThanOrEqual(0);
		expect(far.p).toBeLessThan(1e-12);
		expect(far.low).toBeGreaterThan(1);
	});
	it.each([
		[stratum([-1, 1], [0, 1])],
		[stratum([1.5, 1], [0, 1])],
		[stratum([1, 0], [0, 1])],
		[stratum([1, 1], [0, NaN])],
		[stratum([1, -1], [0, 1])]
	])('refuses %j', (stratum) => expect(() => compareRatesWithin([stratum])).toThrow('compareRatesWithin'));
	it('refuses a level that is none', () =>
		expect(() => compareRatesWithin([stratum([1, 1], [1, 1])], 1)).toThrow('level'));
});
const binomial = (n: number, k: number): number => (k === 0 ? 1 : (binomial(n, k - 1) * (n - k + 1)) / k);
