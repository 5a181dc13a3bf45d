import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gaussLegendre, powerRule } from '.';

const integrate = (n: number, alpha: number, f: (t: number) => number) => {
	const weights = powerRule(n, alpha);
	return gaussLegendre(n).nodes.reduce((sum, x, j) => sum + weights[j] * f((1 + x) / 2), 0);
};

describe('powerRule', () => {
	it('is exact for polynomials below its number of nodes, whatever the power', () =>
		fc.assert(
			fc.property(fc.double({ min: 0.01, max: 40, noNaN: true }), fc.integer({ min: 0, max: 15 }), (alpha, degree) => {
				expect(integrate(16, alpha, (t) => t ** degree)).toBeCloseTo(1 / (alpha + degree), 10);
			}),
			{ seed: 7, numRuns: 200 }
		));
	it.each([0.05, 0.5, 2.5, 30])('carries the singular end of an exponential at %f', (alpha) => {
		// Lower incomplete gamma by its own power series: Σ (−3)^k / (k! (α + k)).
		let term = 1;
		let series = 1 / alpha;
		for (let k = 1; k < 60; k++) series += (term *= -3 / k) / (alpha + k);
		expect(integrate(24, alpha, (t) => Math.exp(-3 * t))).toBeCloseTo(series, 11);
	});
	it('is the rule of Gauss and Legendre where the power is one', () => {
		const { weights } = gaussLegendre(20);
		expect([...powerRule(20, 1)].map((value, j) => value - weights[j] / 2).every((off) => Math.abs(off) < 1e-14)).toBe(
			true
		);
	});
	it('refuses powers that have no integral', () => {
		for (const alpha of [0, -1, NaN, Infinity]) expect(() => powerRule(8, alpha)).toThrow('alpha');
		for (const n of [0, 1.5, 257, NaN]) expect(() => powerRule(n, 1)).toThrow('n');
	});
});
