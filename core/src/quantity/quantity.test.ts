import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	differenceFromBase,
	dimensionOf,
	dimensions,
	formatNumber,
	formatProbability,
	formatQuantity,
	formatWithUncertainty,
	fromBase,
	metric,
	isAsTyped,
	parseNumber,
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
		['-4 °C', 'C', -4, 'C'],
		['4\u202f210 h', 'h', 4210, 'h'],
		['35 ft-lbf', 'Nm', 47.453628191599016, 'ftlbf'],
		['35 ft.lb', 'Nm', 47.453628191599016, 'ftlbf'],
		['35 ft⋅lbf', 'Nm', 47.453628191599016, 'ftlbf'],
		['420 in-lb', 'Nm', 47.453628191599016, 'inlbf'],
		['420 in.lb', 'Nm', 47.453628191599016, 'inlbf'],
		['30 N⋅m', 'Nm', 30, 'Nm'],
		['30 n m', 'Nm', 30, 'Nm'],
		['350 kPa', 'bar', 0.35, 'kPa'],
		['1.8 cm', 'mm', 18, 'cm'],
		['950', 'rpm', 950, 'rpm']
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
		['1.2.3', 'notANumber'],
		['9'.repeat(309), 'outOfRange'],
		['1e5', 'notANumber']
	] as const)('says what is wrong with %j: %s', (text, code) => {
		expect(parseQuantity(text, 'mm')).toMatchObject({ kind: 'problem', problem: { code } });
	});
	it.each([
		['-300 °C', 'C'],
		['-1', 'bar'],
		['2000', 'h', 2000],
		['-2', 'h'],
		['101', 'shoreA']
	] as const)('holds %j to what can be', (text, unit, base?: number) => {
		const parsed = parseQuantity(text, unit);
		if (base === undefined) expect(parsed).toMatchObject({ problem: { code: 'outOfRange', unit } });
		else expect(parsed).toMatchObject({ base });
	});
	it('takes the one meaning of a comma that is possible, and asks where both are', () => {
		const near12 = (base: number) => base > 6 && base < 18;
		expect(parseQuantity('12,450', 'mm', near12)).toMatchObject({ kind: 'quantity', base: 12.45 });
		expect(parseQuantity('12,450', 'h')).toMatchObject({
			problem: { code: 'ambiguous', grouped: 12450, decimal: 12.45 }
		});
	});
	it('never throws and never answers NaN', () =>
		fc.assert(
			fc.property(fc.string(), (text) => {
				const parsed = parseQuantity(text, 'mm');
				expect(parsed.kind === 'problem' || Number.isFinite(parsed.base)).toBe(true);
			}),
			{ seed: 5 }
		));
	it('knows a value again in what was typed', () => {
		expect(isAsTyped(17.9832, { text: '.7080', unit: 'in' })).toBe(true);
		expect(isAsTyped(12450, { text: '12,450', unit: 'h' })).toBe(true);
		expect(isAsTyped(12.45, { text: '12,450', unit: 'h' })).toBe(true);
		expect(isAsTyped(17.89, { text: '17.98', unit: 'mm' })).toBe(false);
		expect(isAsTyped(17.98, { text: '', unit: 'mm' })).toBe(false);
	});
	it('knows every unit by its own name', () => units.forEach((unit) => expect(unitNamed(unit)).toBe(unit)));
});

describe('parseNumber', () => {
	const hours = { least: 0, most: 1_000_000 };
	it.each([
		['4210', 4210],
		['4 210', 4210],
		['4\u202f210', 4210],
		["12'450", 12450],
		['1,234,567', Infinity],
		['12,450.5', 12450.5],
		['12.450,5', 12450.5],
		['123,456,', Infinity],
		['17,98', 17.98],
		['0,708', 0.708],
		['12.450', 12.45],
		['123.456.7', Infinity],
		['.5', 0.5],
		['5.', 5],
		['−3', Infinity],
		['1,2345', 1.2345],
		['1234,567', 1234.567]
	])('reads %j', (text, value) => {
		const parsed = parseNumber(text, hours);
		if (Number.isFinite(value)) expect(parsed).toEqual({ kind: 'number', value });
		else expect(parsed.kind).toBe('problem');
	});
	it.each(['1,000', '12,450', '999,999'])('asks what %j means', (text) =>
		expect(parseNumber(text, hours)).toMatchObject({ problem: { code: 'ambiguous' } })
	);
	it.each(['17 98', '1,23,456', '1.2,3.4', '--5', '5-', '1 234 5', 'Infinity', 'NaN', '0x10', '5\0'])(
		'does not guess at %j',
		(text) => expect(parseNumber(text, hours)).toMatchObject({ problem: { code: 'notANumber' } })
	);
	it('reads what the screen shows', () =>
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 999_999 }), (value) => {
				expect(parseNumber(formatNumber(value), hours)).toEqual({ kind: 'number', value });
			}),
			{ seed: 3 }
		));
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
		expect(formatProbability(1)).toBe('>\u00a099\u00a0%');
		expect(formatProbability(0.124)).toBe('12\u00a0%');
	});
});
