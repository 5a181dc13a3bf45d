import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	differenceFromBase,
	dimensionOf,
	dimensions,
	formatProbability,
	formatQuantity,
	formatWithUncertainty,
	fromBase,
	metric,
	parseQuantity,
	shownUnit,
	toBase,
	units,
	unitNamed
} from '.';
import { relativeError } from '../number/testing';

describe('exact conversions', () => {
	// NIST SP 811 (2008), Appendix B.8, where each is marked exact or given to seven digits.
	it.each([
		[1, 'in', 25.4, 1e-15],
		[1, 'ftlbf', 1.3558179483314004, 1e-15],
		[1, 'inlbf', 0.1129848290276167, 1e-15],
		[1000, 'psi', 6.894757293168361, 1e-15],
		[1, 'bar', 0.1, 1e-15],
		[212, 'F', 100, 1e-14],
		[1, 'lbf', 4.4482216152605, 1e-15],
		[1, 'lbfpin', 0.17512683524647638, 1e-15],
		[50, 'percent', 0.5, 1e-15],
		[250, 'mLmin', 0.25, 1e-15]
	] as const)('%d %s = %d in the base unit', (value, unit, base, tolerance) => {
		expect(relativeError(toBase(value, unit), base)).toBeLessThanOrEqual(tolerance);
	});
	it('there and back is the same, in every unit', () =>
		fc.assert(
			fc.property(fc.constantFrom(...units), fc.double({ min: -1e4, max: 1e4, noNaN: true }), (unit, value) => {
				expect(Math.abs(fromBase(toBase(value, unit), unit) - value)).toBeLessThan(1e-9);
			}),
			{ seed: 11 }
		));
	it('a difference of temperature has no offset', () => expect(differenceFromBase(5, 'F')).toBeCloseTo(9, 12));
});

describe('shown units', () => {
	const inches = { ...metric, length: 'in' as const };
	it.each([
		['stiffness', 'Npmm', 'lbfpin'],
		['force', 'N', 'lbf'],
		['share', 'percent', 'percent'],
		['flow', 'mLmin', 'mLmin'],
		['count', 'pieces', 'pieces'],
		['roughness', 'um', 'um'],
		['mass', 'g', 'g']
	] as const)('%s in %s, for those who think in inches in %s', (dimension, unit, other) => {
		expect(shownUnit(dimension, metric)).toBe(unit);
		expect(shownUnit(dimension, inches)).toBe(other);
	});
	it('every dimension has one, and it measures that dimension', () => {
		for (const dimension of dimensions)
			for (const preference of [metric, inches]) expect(dimensionOf(shownUnit(dimension, preference))).toBe(dimension);
	});
	it('reads a share in per cent, and as it is shown', () => {
		expect(parseQuantity('5', 'percent')).toMatchObject({ kind: 'quantity', base: 0.05 });
		expect(parseQuantity('5 %', 'share')).toMatchObject({ kind: 'quantity', base: 0.05 });
		expect(formatQuantity(0.05, 'percent').replaceAll('\u00a0', ' ')).toBe('5.0 %');
	});
});

describe('parseQuantity', () => {
	it.each([
		['17.98', 'mm', 17.98, 'mm'],
		['17,98', 'mm', 17.98, 'mm'],
		[' .7080 in ', 'mm', 17.9832, 'in'],
		['0.5"', 'mm', 12.7, 'in'],
		['35 ft-lb', 'Nm', 47.453628191599016, 'ftlbf'],
		['1500psi', 'bar', 10.342135939752543, 'psi'],
		['-4 °C', 'C', -4, 'C']
	] as const)('reads %j', (text, assumed, base, unit) => {
		const parsed = parseQuantity(text, assumed);
		expect(parsed).toMatchObject({ kind: 'quantity', unit });
		expect(parsed.kind === 'quantity' && relativeError(parsed.base, base)).toBeLessThan(1e-14);
	});
	it.each([
		['', 'empty'],
		['abc', 'notANumber'],
		['17.9x8', 'notANumber'],
		['17.98 furlongs', 'unknownUnit'],
		['17.98 bar', 'wrongDimension'],
		['1.2.3', 'notANumber']
	] as const)('says what is wrong with %j: %s', (text, code) => {
		expect(parseQuantity(text, 'mm')).toMatchObject({ kind: 'problem', problem: { code } });
	});
	it('never throws and never answers NaN', () =>
		fc.assert(
			fc.property(fc.string(), (text) => {
				const parsed = parseQuantity(text, 'mm');
				expect(parsed.kind === 'problem' || Number.isFinite(parsed.base)).toBe(true);
			}),
			{ seed: 5 }
		));
	it('knows every unit by its own name', () => units.forEach((unit) => expect(unitNamed(unit)).toBe(unit)));
});

describe('numbers for the screen', () => {
	it('show the unit and no minus zero', () => {
		expect(formatQuantity(17.9824, 'mm')).toBe('17.982\u00a0mm');
		expect(formatQuantity(25.4, 'in')).toBe('1.0000\u00a0in');
		expect(formatQuantity(-0.0001, 'mm')).toBe('0.000\u00a0mm');
		expect(formatQuantity(12345, 'h')).toBe('12\u202f345\u00a0h');
	});
	it('round a value to two digits of its uncertainty', () => {
		expect(formatWithUncertainty(17.98243, 0.00412, 'mm')).toBe('17.9824 ± 0.0041\u00a0mm');
		expect(formatWithUncertainty(17.98243, 0.12, 'mm')).toBe('17.98 ± 0.12\u00a0mm');
	});
	it('never call a probability certain', () => {
		expect(formatProbability(0)).toBe('<\u00a00.1\u00a0%');
		expect(formatProbability(1)).toBe('>\u00a099.9\u00a0%');
		expect(formatProbability(0.124)).toBe('12\u00a0%');
	});
});
