import { describe, expect, it } from 'vitest';
import { betaUpper, gammaLn, integrate, minimise } from '.';
import { relativeError } from './testing';

describe('betaUpper and gammaLn', () => {
	// mpmath 1.2 at 30 digits.
	it.each([
		[0.3, 2.5, 7, 0.3587775370282788],
		[0.999, 40, 3, 1.1149261952348718e-5],
		[0.02, 3, 200, 0.22934682373860921],
		[0.9, 0.001, 5, 2.1866831532492299e-9]
	])('P(X > %d; %d, %d)', (x, a, b, reference) =>
		expect(relativeError(betaUpper(x, a, b), reference)).toBeLessThan(1e-10)
	);
	it('ln Γ', () => {
		expect(relativeError(gammaLn(0.001), 6.9071788853838537)).toBeLessThan(1e-14);
		expect(relativeError(gammaLn(100_000), 1051287.7089736569)).toBeLessThan(1e-14);
	});
	it('refuse what they are not defined for', () => {
		expect(() => betaUpper(1.1, 1, 1)).toThrow('x is 1.1');
		expect(() => gammaLn(0)).toThrow('x is 0');
	});
});

describe('integrate', () => {
	it.each([
		['a polynomial', (x: number) => 3 * x * x, 0, 2, 8],
		['a root singularity at its end', (x: number) => 1 / Math.sqrt(x), 0, 1, 2],
		['a logarithm at its end', (x: number) => Math.log(x), 0, 1, -1],
		['a bell', (x: number) => Math.exp((-x * x) / 2), -8, 8, Math.sqrt(2 * Math.PI)],
		['nothing', () => 1, 3, 3, 0]
	])('%s', (_, f, from, to, exact) => expect(Math.abs(integrate(f, from, to) - exact)).toBeLessThan(1e-7));
	it('refuses limits that are not finite or reversed', () => {
		expect(() => integrate((x) => x, 0, Infinity)).toThrow('limits');
		expect(() => integrate((x) => x, 1, 0)).toThrow('limits');
	});
});

describe('minimise', () => {
	it('finds the bottom of a curved valley', () => {
		const found = minimise(([x, y]) => (1 - x) ** 2 + 100 * (y - x * x) ** 2, [-1.2, 1]);
		expect(found.kind).toBe('converged');
		expect(found.at[0]).toBeCloseTo(1, 3);
		expect(found.at[1]).toBeCloseTo(1, 3);
	});
	it('says so where there is no bottom, or the start is not finite', () => {
		expect(minimise(([x]) => -Math.exp(x), [0]).kind).toBe('notConverged');
		expect(minimise(() => NaN, [0])).toMatchObject({ kind: 'notConverged', reason: 'notFinite' });
		expect(() => minimise(([x]) => x, [])).toThrow('start');
	});
});
