import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mean, sampleVariance } from '.';

describe('mean and sampleVariance', () => {
	it('of a worked example', () => {
		expect(mean([2, 4, 4, 4, 5, 5, 7, 9])).toBe(5);
		expect(sampleVariance([2, 4, 4, 4, 5, 5, 7, 9])).toBeCloseTo(32 / 7, 14);
	});
	it('keep their digits far from zero: a micrometre at a kilometre', () => {
		const readings = [1e6 + 0.001, 1e6 + 0.002, 1e6 + 0.003];
		expect(sampleVariance(readings)).toBeCloseTo(1e-6, 9);
	});
	it('shift with the readings and leave them unchanged', () =>
		fc.assert(
			fc.property(fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 2, maxLength: 20 }), (list) => {
				const readings = Object.freeze([...list]);
				expect(mean(readings.map((value) => value + 64))).toBeCloseTo(mean(readings) + 64, 9);
				expect(sampleVariance(readings.map((value) => value + 64))).toBeCloseTo(sampleVariance(readings), 6);
			}),
			{ seed: 3 }
		));
	it('refuse what has no answer', () => {
		expect(() => mean([])).toThrow('mean: values');
		expect(() => mean([1, NaN])).toThrow('mean: values');
		expect(() => sampleVariance([1])).toThrow('at least two');
	});
});
