import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gammaLn, gammaUpper, gaussLegendre, highestAt } from '.';
import { expBelow } from './expBelow';
import { relativeError } from './testing';

describe('gamma functions', () => {
	// mpmath 1.3 at 30 digits.
	it.each([
		[0.001, 0.05, 0.27282077094707735],
		[0.5, 0.3, 0.18618819532560733],
		[3, 2, 0.19914827347145577],
		[40, 12, 6.0842027176639998e-8],
		[1000, 950, 0.05420667388901861],
		[1063, 1000.5, 0.025784944438365293],
		[500, 401, 2.0780896100121019e-6],
		[99_000, 1e5, 0.99924258007882523]
	])('P(X > %d; shape %d)', (x, shape, reference) =>
		expect(relativeError(gammaUpper(x, shape), reference)).toBeLessThan(1e-10)
	);
	it.each([400, 1e7])('goes over into its other form at shape %d without a step', (shape) => {
		const x = shape + Math.sqrt(shape);
		expect(Math.abs(gammaUpper(x, shape * (1 - 1e-9)) - gammaUpper(x, shape * (1 + 1e-9)))).toBeLessThan(3e-6);
	});
	it('ln Γ', () => {
		expect(relativeError(gammaLn(0.001), 6.9071788853838537)).toBeLessThan(1e-14);
		expect(relativeError(gammaLn(100_000), 1051287.7089736569)).toBeLessThan(1e-14);
	});
	it('refuse what they are not defined for', () => {
		expect(() => gammaUpper(-1, 1)).toThrow('x is -1');
		expect(() => gammaLn(0)).toThrow('x is 0');
	});
});

describe('gaussLegendre', () => {
	it('has the nodes and weights of the book', () => {
		// M. Abramowitz, I. Stegun (1964), table 25.4, n = 5.
		const { nodes, weights } = gaussLegendre(5);
		for (const [i, node] of [-0.906179845938664, -0.538469310105683, 0].entries())
			expect(nodes[i]).toBeCloseTo(node, 14);
		for (const [i, weight] of [0.236926885056189, 0.478628670499366, 0.568888888888889].entries())
			expect(weights[i]).toBeCloseTo(weight, 14);
	});
	it('is exact for polynomials of degree 2n − 1, up to the most points', () =>
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 256 }), (n) => {
				const { nodes, weights } = gaussLegendre(n);
				const power = 2 * Math.min(n - 1, 40);
				const sum = nodes.reduce((total, x, i) => total + weights[i] * x ** power, 0);
				expect(sum).toBeCloseTo(2 / (power + 1), 13);
			}),
			{ seed: 12 }
		));
	it.each([0, 1.5, 257, NaN])('refuses %d points', (n) => expect(() => gaussLegendre(n)).toThrow('gaussLegendre'));
});

describe('expBelow', () => {
	it('is exp to 1e-10 down to −40, and nought below', () => {
		fc.assert(
			fc.property(fc.double({ min: -39.9999, max: 0, noNaN: true }), (x) => {
				expect(relativeError(expBelow(x), Math.exp(x))).toBeLessThan(1e-10);
			}),
			{ seed: 13 }
		);
		expect([expBelow(0), expBelow(-40.1), expBelow(-Infinity)]).toEqual([1, 0, 0]);
	});
});

describe('highestAt', () => {
	it('finds the top of a curve with one, at an end as well', () => {
		// x·e^(−x/3) is highest at 3.
		expect(Math.abs(highestAt((x) => x * Math.exp(-x / 3), 0.1, 20, 1e-7) - 3)).toBeLessThan(1e-6);
		expect(highestAt((x) => x, 0, 5, 1e-9)).toBeCloseTo(5, 8);
	});
	it('refuses ends that are none', () => {
		expect(() => highestAt((x) => x, 2, 1, 1e-6)).toThrow('above 2');
		expect(() => highestAt((x) => x, 0, 1, 0)).toThrow('above 0');
	});
});
