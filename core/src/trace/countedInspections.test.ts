import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countedInspections, type PartInspection } from '.';

const inspection = (pumpHours: number, severity = 0, more: Partial<PartInspection> = {}): PartInspection => ({
	part: 'a',
	station: 'plunger',
	cylinder: 1,
	pumpHours,
	fittedHours: null,
	marks: severity > 0 ? [{ pattern: 'axialScoring', severity, onset: 'service' }] : [],
	...more
});
const events = (inspections: readonly PartInspection[]) =>
	countedInspections(inspections).map(({ patterns }) => patterns.length);

describe('countedInspections', () => {
	it('counts one scratch, seen sixteen times, once', () => {
		const inspections = Array.from({ length: 17 }, (_, i) => inspection(1000 * (i + 1), i === 0 ? 0 : 1));
		expect(events(inspections).reduce((a, b) => a + b)).toBe(1);
		expect(countedInspections(inspections).filter(({ seenBefore }) => seenBefore.length > 0)).toHaveLength(15);
	});
	it('counts it again where it has grown, and not where it was called lighter in between', () => {
		expect(events([inspection(1, 1), inspection(2, 2), inspection(3, 1), inspection(4, 2), inspection(5, 3)])).toEqual([
			1, 1, 0, 0, 1
		]);
	});
	it('begins again with a new part', () => {
		const renewed = { part: 'b', fittedHours: 2000 };
		expect(events([inspection(1000, 1), inspection(2000, 1), inspection(3000, 1, renewed)])).toEqual([1, 0, 1]);
	});
	it('keeps out what service did not make, each by what did', () => {
		const marks = (['handling', 'assembly', 'unknown', 'service'] as const).map((onset) => ({
			pattern: 'chipped',
			severity: 1,
			onset
		}));
		const [counted] = countedInspections([inspection(1000, 0, { marks })]);
		expect(counted.keptOut).toEqual(['handling', 'assembly', 'unknown']);
		expect(counted.patterns).toEqual(['chipped']);
	});
	it('exposes a place from look to look, and a part from its fitting at the earliest', () => {
		const inspections = [inspection(1000), inspection(2500), inspection(6000, 0, { part: 'b', fittedHours: 4000 })];
		expect(countedInspections(inspections).map(({ hours }) => hours)).toEqual([undefined, 1500, 2000]);
	});
	it('answers by the pump’s hours in any order', () =>
		fc.assert(
			fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 1e5 }), { minLength: 1, maxLength: 12 }), (hours) => {
				const inspections = hours.map((at) => inspection(at, (at % 3) + 1));
				expect(countedInspections(inspections)).toEqual(countedInspections(inspections.toReversed()));
				const exposed = countedInspections(inspections).reduce((sum, inspection) => sum + (inspection.hours ?? 0), 0);
				expect(exposed).toBe(Math.max(...hours) - Math.min(...hours));
			}),
			{ seed: 11 }
		));
});
