import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countedSizes, type SizeInspection } from '.';

const read = (pumpHours: number, beyond = false, more: Partial<SizeInspection> = {}): SizeInspection => ({
	part: 'a',
	characteristic: 'freeLength',
	pumpHours,
	fittedHours: 1000,
	beyond,
	...more
});

describe('countedSizes', () => {
	it('counts from the fitting, then from reading to reading, in whatever order they come', () =>
		expect(countedSizes([read(4000, true), read(2500)]).map(({ hours, beyond }) => [hours, beyond])).toEqual([
			[1500, false],
			[1500, true]
		]));
	it('watches a size no longer once it is beyond, also where a later reading says otherwise', () =>
		expect(countedSizes([read(2500, true), read(4000, true), read(5000), read(6000)])).toHaveLength(1));
	it('cannot count the first reading of a part whose age no one knows, but those after it', () => {
		const unknown = { fittedHours: null };
		expect(countedSizes([read(2500, false, unknown), read(4000, true, unknown)])).toMatchObject([{ hours: 1500 }]);
		expect(countedSizes([read(2500, true, unknown), read(4000, true, unknown)])).toEqual([]);
	});
	it('keeps parts and sizes apart, and does not count twice at the same hours', () => {
		const other = { part: 'b' };
		expect(countedSizes([read(2500, true), read(2500, false, other), read(3000, false, other)])).toHaveLength(3);
		expect(countedSizes([read(2500), read(2500, true), read(1000)])).toMatchObject([{ hours: 1500 }]);
	});
	it('never counts more hours of a part than it ran', () =>
		fc.assert(
			fc.property(fc.array(fc.tuple(fc.integer({ min: 1000, max: 9000 }), fc.boolean())), (reads) => {
				const counted = countedSizes(reads.map(([hours, beyond]) => read(hours, beyond)));
				const most = Math.max(1000, ...reads.map(([hours]) => hours)) - 1000;
				expect(counted.reduce((sum, { hours }) => sum + hours, 0)).toBeLessThanOrEqual(most);
				expect(counted.filter(({ beyond }) => beyond).length).toBeLessThanOrEqual(1);
			}),
			{ seed: 8 }
		));
	it('refuses hours that are not finite', () => {
		expect(() => countedSizes([read(NaN)])).toThrow('pumpHours');
		expect(() => countedSizes([read(1, false, { fittedHours: Infinity })])).toThrow('fittedHours');
	});
});
