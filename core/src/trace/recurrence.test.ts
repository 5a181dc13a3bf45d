import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { binomialUpperTail, poissonRate, recurrences, standsOut, type Inspection } from '.';
import { relativeError } from '../number/testing';

describe('poissonRate', () => {
	// Garwood limits by scipy 1.10.1's chi-square quantiles.
	it.each([
		[0, 0, 3.6888794541139354],
		[1, 0.025317807984289876, 5.571643390938898],
		[3, 0.6186721228956014, 8.767273069742323],
		[10, 4.7953886961324335, 18.39035604201778]
	])('exact interval of %d events', (events, low, high) => {
		const rate = poissonRate(events, 1000);
		expect(relativeError(rate.low, low)).toBeLessThan(1e-10);
		expect(relativeError(rate.high, high)).toBeLessThan(1e-10);
	});
	it('holds the rate between its limits, and shrinks with exposure', () =>
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 400 }), fc.double({ min: 1, max: 1e6, noNaN: true }), (events, hours) => {
				const { low, high, per1000h } = poissonRate(events, hours);
				expect(low).toBeLessThanOrEqual(per1000h);
				expect(high).toBeGreaterThan(per1000h);
				expect(relativeError(poissonRate(events, hours * 2).high, high / 2)).toBeLessThan(1e-12);
			}),
			{ seed: 9 }
		));
	it.each([
		[-1, 10],
		[1.5, 10],
		[1, 0],
		[1, NaN]
	])('refuses %d events in %d hours', (events, hours) =>
		expect(() => poissonRate(events, hours)).toThrow('poissonRate')
	);
});

describe('binomialUpperTail', () => {
	// scipy 1.10.1, binom.sf(k − 1, n, p).
	it.each([
		[5, 12, 0.3, 0.2763445304699998],
		[3, 3, 0.1, 0.001],
		[60, 100, 0.5, 0.02844396682049044],
		[5100, 10_000, 0.5, 0.023292763852473225],
		[40, 10_000, 0.001, 7.02528852215633e-13]
	])('P(X ≥ %d | %d, %d)', (k, n, p, reference) =>
		expect(relativeError(binomialUpperTail(k, n, p), reference)).toBeLessThan(1e-10)
	);
	it('is 1 for none and falls with k', () => {
		expect(binomialUpperTail(0, 0, 0.5)).toBe(1);
		for (let k = 1; k <= 20; k++) expect(binomialUpperTail(k, 20, 0.4)).toBeLessThan(binomialUpperTail(k - 1, 20, 0.4));
	});
});

describe('recurrences', () => {
	const inspection = (cylinder: number, found: boolean): Inspection => ({
		station: 'packing',
		cylinder,
		hours: 1000,
		patterns: found ? ['oneSidedWear'] : []
	});
	it('finds the cylinder that always shows it', () => {
		const inspections = [1, 2, 3, 4, 5].flatMap(() => [
			inspection(1, false),
			inspection(2, true),
			inspection(3, false)
		]);
		const [first, ...rest] = recurrences(inspections);
		expect(first).toMatchObject({
			station: 'packing',
			pattern: 'oneSidedWear',
			cylinder: 2,
			rate: { events: 5, hours: 5000 }
		});
		expect(first.pAlike).toBeCloseTo((1 / 3) ** 5, 14);
		expect(first.pAny).toBeCloseTo(3 * (1 / 3) ** 5, 14); // three cylinders were compared
		expect(standsOut(first, 1)).toBe(true);
		expect(standsOut(first, 12)).toBe(false);
		expect(rest).toEqual([]);
	});
	it('finds nothing odd where all cylinders show it alike', () => {
		const inspections = [1, 2, 3].flatMap((cylinder) => [inspection(cylinder, true), inspection(cylinder, true)]);
		for (const recurrence of recurrences(inspections)) expect(recurrence.pAlike).toBeGreaterThan(0.5);
	});
	it('counts a pattern once an inspection and says nothing of nothing', () => {
		expect(recurrences([])).toEqual([]);
		expect(recurrences([inspection(1, false)])).toEqual([]);
		const twice = { ...inspection(1, true), patterns: ['oneSidedWear', 'oneSidedWear'] };
		expect(recurrences([twice, inspection(2, false)])[0].rate.events).toBe(1);
	});
	it('has no test where there is no other cylinder', () =>
		expect(recurrences([inspection(0, true)])[0]).toMatchObject({ others: undefined, pAlike: 1 }));
});
