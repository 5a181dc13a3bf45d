import { expect, it } from 'vitest';
import { metric, parseNumber } from '@exetasis/core/quantity';
import { defaultFormat, formatFor, type Notation } from './numbers';

it.each([
	['point-space', '12\u202f345.6', '17.981\u00a0mm', '−1\u202f234', '0.25'],
	['comma-space', '12\u202f345,6', '17,981\u00a0mm', '−1\u202f234', '0,25']
] as const)('%s', (numerals, big, size, negative, typed) => {
	const format = formatFor(() => ({ units: metric, numerals }));
	expect(format.number(12345.6, 1)).toBe(big);
	expect(format.quantity(17.981, 'mm')).toBe(size);
	expect(format.bare(17.981, 'mm')).toBe(size.split('\u00a0')[0]);
	expect(format.number(-1234)).toBe(negative);
	expect(format.plain(0.25)).toBe(typed);
	expect(format.withUncertainty(17.9812, 0.0041, 'mm')).toContain('±');
	// What is shown is read again as what it was, thousands without decimals too.
	expect(parseNumber(format.number(12450), { least: 0, most: 1e6 })).toEqual({ kind: 'number', value: 12450 });
	expect(parseNumber(format.number(12345.6, 1), { least: 0, most: 1e6 })).toEqual({ kind: 'number', value: 12345.6 });
});

it('follows another choice at once, and leaves other formats alone', () => {
	let notation: Notation = { units: metric, numerals: 'point-space' };
	const format = formatFor(() => notation);
	expect(format.number(1.5, 1)).toBe('1.5');
	notation = { units: { ...metric, length: 'in' }, numerals: 'comma-space' };
	expect(format.number(1.5, 1)).toBe('1,5');
	expect(format.units.length).toBe('in');
	expect(defaultFormat.number(1.5, 1)).toBe('1.5');
});
