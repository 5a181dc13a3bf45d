import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dimensionOf } from '../quantity';
import { gaugeUnit, partTypeKeys, partTypes, patternKeys, wearUsed, type PartType } from '.';

describe('part types', () => {
	it.each(partTypeKeys)('%s: its key is its name in the register, its patterns fit the number keys', (key) => {
		const type = partTypes[key];
		expect(type.key).toBe(key);
		expect(type.patterns.length).toBeGreaterThan(0);
		expect(type.patterns.length).toBeLessThanOrEqual(10);
		const patterns = type.patterns.map(({ pattern }) => pattern);
		expect(new Set(patterns).size).toBe(patterns.length);
		for (const pattern of patterns) expect(patternKeys).toContain(pattern);
	});
	it.each(partTypeKeys)('%s: its sizes are read with a gauge of their dimension', (key) => {
		for (const { unit, instrument, key: size } of (partTypes[key] as PartType).characteristics)
			expect(dimensionOf(gaugeUnit[instrument]), size).toBe(dimensionOf(unit));
	});
	it('cracks and chips end a ceramic at the first sight', () => {
		for (const pattern of ['crack', 'chip']) {
			expect(partTypes.plunger.patterns.find((rule) => rule.pattern === pattern)?.outFrom).toBe(1);
		}
	});
});

describe('wearUsed', () => {
	it('counts towards the limit on either side', () => {
		expect(wearUsed({ start: 18, value: 17.97, limit: 17.95 }).share).toBeCloseTo(0.6, 9);
		expect(wearUsed({ start: 17.6, value: 17.76, limit: 17.92 }).share).toBeCloseTo(0.5, 9);
		expect(wearUsed({ start: 22, value: 22.4, limit: 21.2 }).worn).toBeCloseTo(-0.4, 9);
	});
	it('is 0 new, 1 at the limit, whatever the sizes', () =>
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 100, noNaN: true }),
				fc.double({ min: -0.5, max: 0.5, noNaN: true }),
				(start, way) => {
					fc.pre(Math.abs(way) > 1e-3);
					expect(wearUsed({ start, value: start, limit: start + way }).share).toBeCloseTo(0, 12);
					expect(wearUsed({ start, value: start + way, limit: start + way }).share).toBeCloseTo(1, 9);
				}
			),
			{ seed: 8 }
		));
	it('refuses a limit that is the size as new', () =>
		expect(() => wearUsed({ start: 18, value: 17, limit: 18 })).toThrow('wearUsed: limit'));
});
