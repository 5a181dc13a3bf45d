import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import libraryQuantile from '@stdlib/stats-base-dists-t-quantile';
import { chiSquareQuantile, chiSquareUpper, normalCdf, normalQuantile, studentCdf, studentQuantile } from '.';
import { relativeError } from './testing';

// Reference values: mpmath 1.2 at 30 digits, by its incomplete beta and gamma functions and root finding.
const TOLERANCE = 1e-10;
const agrees = (name: string, computed: number, reference: number) =>
	it(`${name} = ${reference}`, () => expect(relativeError(computed, reference)).toBeLessThan(TOLERANCE));

describe('studentCdf', () => {
	agrees('F(-2; 3)', studentCdf(-2, 3), 0.069662984279421588);
	agrees('F(-40; 5)', studentCdf(-40, 5), 9.2059810858864772e-8);
	agrees('F(-8; 1e6)', studentCdf(-8, 1e6), 6.2275317166012598e-16);
	agrees('F(-0.001; 2.5)', studentCdf(-0.001, 2.5), 0.49963819136039244);
	agrees('F(3.2; 0.5)', studentCdf(3.2, 0.5), 0.82200553714290736);
	agrees('F(-1e8; 2)', studentCdf(-1e8, 2), 4.9999999999999992e-17);
	it('is the normal distribution at infinitely many degrees of freedom', () =>
		expect(studentCdf(-1.5, Infinity)).toBe(normalCdf(-1.5)));
});

describe('studentQuantile', () => {
	agrees('t(0.975; 9)', studentQuantile(0.975, 9), 2.2621571627982055);
	agrees('t(0.975; 2.37)', studentQuantile(0.975, 2.37), 3.7189208397974584);
	agrees('t(1e-10; 4)', studentQuantile(1e-10, 4), -416.17514032960413);
	agrees('t(0.025; 1)', studentQuantile(0.025, 1), -12.706204736174705);
	agrees('t(1e-6; 30)', studentQuantile(1e-6, 30), -5.8711171204188826);
	agrees('t(0.975; 2e5)', studentQuantile(0.975, 2e5), 1.9599758459667681);
	agrees('t(1e-6; 1e6)', studentQuantile(1e-6, 1e6), -4.7534523482796808);
	agrees('t(0.6; 1e17)', studentQuantile(0.6, 1e17), 0.25334710313579974);
	it('agrees with an inverse by way of the beta distribution, from far tails to the median', () => {
		for (const dof of [0.5, 1, 1.5, 2, 3, 5, 10, 30, 100, 1e3, 1e4])
			for (const p of [1e-100, 1e-20, 1e-8, 1e-3, 0.025, 0.2, 0.4, 0.4999, 0.5, 0.6, 0.975, 1 - 1e-9]) {
				const reference = libraryQuantile(p, dof);
				if (!Number.isFinite(reference)) continue;
				if (p === 0.5) expect(studentQuantile(p, dof)).toBe(0);
				else expect(relativeError(studentQuantile(p, dof), reference), `${p} at ${dof}`).toBeLessThan(1e-10);
			}
	});
	it('is right next to the median, where the library’s inverse gives up', () => {
		for (const p of [0.49999999, 0.4999999, 0.49999, 0.500001]) {
			const q = p - 0.5;
			expect(relativeError(studentQuantile(p, 1), Math.tan(Math.PI * q))).toBeLessThan(1e-9);
			expect(relativeError(studentQuantile(p, 2), (2 * q) / Math.sqrt(0.5 - 2 * q * q))).toBeLessThan(1e-9);
		}
	});
	it('answers what lies beyond the range of numbers by an error, not by a number', () => {
		for (const [p, dof] of [
			[1e-20, 0.05],
			[1e-300, 0.5],
			[1 - 1e-15, 0.05]
		])
			expect(() => studentQuantile(p, dof)).toThrow('within the range of numbers');
		expect(studentQuantile(1e-300, 100)).toBeCloseTo(-9682.734287, 5);
	});
	it('undoes the distribution function far into both tails', () =>
		fc.assert(
			fc.property(
				fc.double({ min: -30, max: -0.01, noNaN: true }),
				fc.double({ min: 0.8, max: 500, noNaN: true }),
				(log10p, dof) => {
					const p = 10 ** (log10p / 3);
					expect(relativeError(studentCdf(studentQuantile(p, dof), dof), p)).toBeLessThan(1e-9);
				}
			),
			{ seed: 7 }
		));
});

describe('normal distribution', () => {
	agrees('Φ(-30)', normalCdf(-30), 4.9067139271481871e-198);
	agrees('Φ(-8)', normalCdf(-8), 6.2209605742717841e-16);
	agrees('Φ(1.5)', normalCdf(1.5), 0.93319279873114193);
	agrees('Φ⁻¹(1e-20)', normalQuantile(1e-20), -9.2623400897984076);
	agrees('Φ⁻¹(0.975)', normalQuantile(0.975), 1.9599639845400542);
	agrees('Φ⁻¹(1e-300)', normalQuantile(1e-300), -37.047096299361199);
});

describe('chiSquareQuantile', () => {
	agrees('χ²(0.025; 6)', chiSquareQuantile(0.025, 6), 1.2373442457912026);
	agrees('χ²(0.975; 2)', chiSquareQuantile(0.975, 2), 7.3777589082278726);
	agrees('χ²(1e-8; 20)', chiSquareQuantile(1e-8, 20), 1.5392173060235269);
	agrees('χ²(0.975; 202)', chiSquareQuantile(0.975, 202), 243.25358758485278);
	agrees('χ²(0.025; 200)', chiSquareQuantile(0.025, 200), 162.72798250184628);
	agrees('χ²(0.975; 2001)', chiSquareQuantile(0.975, 2001), 2126.8732911130568);
	agrees('χ²(0.025; 1e4)', chiSquareQuantile(0.025, 1e4), 9724.7183773897982);
	agrees('χ²(1e-6; 5000)', chiSquareQuantile(1e-6, 5000), 4538.9702251538052);
});

describe('chiSquareUpper', () => {
	agrees('Q(3.84…; 1)', chiSquareUpper(3.841458820694124, 1), 0.0500000000000000574);
	agrees('Q(0.5; 2)', chiSquareUpper(0.5, 2), 0.778800783071404868);
	agrees('Q(25; 2.5)', chiSquareUpper(25, 2.5), 7.87723250036715499e-6);
	agrees('Q(120; 3)', chiSquareUpper(120, 3), 7.71679035563415871e-26);
	agrees('Q(300; 9)', chiSquareUpper(300, 9), 2.61027734720702366e-59);
	it('of 0 is certain', () => expect(chiSquareUpper(0, 4)).toBe(1));
});

describe('bad input', () => {
	it.each([
		['p = 0', () => normalQuantile(0)],
		['p = NaN', () => studentQuantile(NaN, 3)],
		['no degrees of freedom', () => studentCdf(1, 0)],
		['x = NaN', () => normalCdf(NaN)],
		['p = 1', () => chiSquareQuantile(1, 2)]
	])('%s is refused, naming the value', (_, call) => expect(call).toThrow(/expected/));
});
