import { afterEach, expect, it } from 'vitest';
import { AsyncLocalStorage } from 'node:async_hooks';
import {
	formatNumber,
	formatQuantity,
	formatWithUncertainty,
	writeNumbers,
	writeNumbersOfRequest,
	type Numerals
} from './numbers';
import { parseNumber } from '@exetasis/core/quantity';

afterEach(() => writeNumbers('point-space'));

it.each([
	['point-space', '12\u202f345.6', '17.981\u00a0mm', '−1\u202f234'],
	['comma-space', '12\u202f345,6', '17,981\u00a0mm', '−1\u202f234']
] as const)('%s', (as, big, size, negative) => {
	writeNumbers(as);
	expect(formatNumber(12345.6, 1)).toBe(big);
	expect(formatQuantity(17.981, 'mm')).toBe(size);
	expect(formatNumber(-1234)).toBe(negative);
	expect(formatWithUncertainty(17.9812, 0.0041, 'mm')).toContain('±');
	// What is shown is read again as what it was, thousands without decimals too.
	expect(parseNumber(formatNumber(12450), { least: 0, most: 1e6 })).toEqual({ kind: 'number', value: 12450 });
	expect(parseNumber(formatNumber(12345.6, 1), { least: 0, most: 1e6 })).toEqual({ kind: 'number', value: 12345.6 });
});

it('writes each request as its own person reads, however they interleave', async () => {
	const asked = new AsyncLocalStorage<Numerals>();
	writeNumbersOfRequest(() => asked.getStore());
	const answer = (as: Numerals, ms: number) =>
		asked.run(as, async () => {
			writeNumbers(as); // as a page that is drawn does
			await new Promise((done) => setTimeout(done, ms));
			return formatNumber(1.5, 1);
		});
	expect(await Promise.all([answer('comma-space', 20), answer('point-space', 10), answer('comma-space', 0)])).toEqual([
		'1,5',
		'1.5',
		'1,5'
	]);
	writeNumbersOfRequest(() => undefined);
});
