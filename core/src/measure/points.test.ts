import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { normalQuantile } from '../number';
import { worstPoint } from '.';

const read = (values: readonly number[], own = 1, shared = 0) => values.map((value) => ({ value, own, shared }));
/** Readings of an even face whose scatter is exactly normal: quantiles at even steps. */
const even = (k: number) => Array.from({ length: k }, (_, i) => normalQuantile((i + 0.5) / k));

describe('worstPlace', () => {
	it('is the reading itself where there is one', () => {
		expect(worstPoint(read([3], 0.5, 1.2))).toEqual({ value: 3, u: expect.closeTo(1.3, 12), points: [3] });
	});
	it('explains the worst of an even face by the scatter of its readings', () => {
		for (const k of [3, 6, 12]) {
			const values = even(k);
			const { value, u, points } = worstPoint(read(values));
			expect(value).toBeLessThan(0.75 * Math.max(...values));
			expect(value).toBeGreaterThan(0);
			expect(u).toBeLessThan(1);
			expect(Math.max(...points)).toBeLessThan(0.6 * Math.max(...values));
		}
	});
	it('believes a point that stands out by far', () => {
		const { value, u } = worstPoint(read([0, 0.1, -0.2, 0.1, 20]));
		expect(value).toBeCloseTo(20, 0);
		expect(u).toBeGreaterThan(0.8);
		expect(u).toBeLessThan(1.3);
	});
	it('adds what all readings share once, and not at every point', () => {
		const alone = worstPoint(read(even(6)));
		const together = worstPoint(read(even(6), 1, 3));
		expect(together.value).toBeCloseTo(alone.value, 9);
		expect(together.u).toBeCloseTo(Math.hypot(alone.u, 3), 9);
	});
	it('moves with its readings and turns with their unit', () =>
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 2, maxLength: 12 }),
				fc.double({ min: -100, max: 100, noNaN: true }),
				(values, by) => {
					const { value, u } = worstPoint(read(values));
					const moved = worstPoint(read(values.map((other) => other + by)));
					expect(moved.value).toBeCloseTo(value + by, 6);
					const scaled = worstPoint(
						read(
							values.map((other) => other * 10),
							10
						)
					);
					expect(scaled.value).toBeCloseTo(value * 10, 6);
					expect(scaled.u).toBeCloseTo(u * 10, 6);
					expect(value).toBeLessThanOrEqual(Math.max(...values) + 3);
				}
			),
			{ seed: 15, numRuns: 60 }
		));
	it('comes true: over faces of every sort the error has no bias and its stated size', () => {
		let errors = 0;
		let squares = 0;
		const faces = 300;
		let state = 20_261;
		const next = () => {
			state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
			return normalQuantile((state + 0.5) / 2 ** 32);
		};
		for (let face = 0; face < faces; face++) {
			const between = [0.2, 1, 3][face % 3];
			const truth = Array.from({ length: 6 }, () => between * next());
			const { value, u } = worstPoint(read(truth.map((other) => other + next())));
			const z = (value - Math.max(...truth)) / u;
			errors += z;
			squares += z * z;
		}
		expect(Math.abs(errors / faces)).toBeLessThan(0.35);
		expect(Math.sqrt(squares / faces)).toBeGreaterThan(0.7);
		expect(Math.sqrt(squares / faces)).toBeLessThan(1.3);
	});
	it('refuses nothing, what is not finite, and readings without any uncertainty', () => {
		expect(() => worstPoint([])).toThrow('worstPlace');
		expect(() => worstPoint(read([NaN]))).toThrow('value is NaN');
		expect(() => worstPoint(read([1], 0, 0))).toThrow('own');
	});
});
