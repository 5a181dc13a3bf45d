import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countedLooks, type PartLook } from '.';

const look = (pumpHours: number, severity = 0, more: Partial<PartLook> = {}): PartLook => ({
	part: 'a',
	station: 'plunger',
	cylinder: 1,
	pumpHours,
	fittedHours: null,
	marks: severity > 0 ? [{ pattern: 'axialScoring', severity, onset: 'service' }] : [],
	...more
});
const events = (looks: readonly PartLook[]) => countedLooks(looks).map(({ patterns }) => patterns.length);

describe('countedLooks', () => {
	it('counts one scratch, seen sixteen times, once', () => {
		const looks = Array.from({ length: 17 }, (_, i) => look(1000 * (i + 1), i === 0 ? 0 : 1));
		expect(events(looks).reduce((a, b) => a + b)).toBe(1);
		expect(countedLooks(looks).filter(({ seenBefore }) => seenBefore.length > 0)).toHaveLength(15);
	});
	it('counts it again where it has grown, and not where it was called lighter in between', () => {
		expect(events([look(1, 1), look(2, 2), look(3, 1), look(4, 2), look(5, 3)])).toEqual([1, 1, 0, 0, 1]);
	});
	it('begins anew with a new part', () => {
		const renewed = { part: 'b', fittedHours: 2000 };
		expect(events([look(1000, 1), look(2000, 1), look(3000, 1, renewed)])).toEqual([1, 0, 1]);
	});
	it('keeps out what service did not make, each by what did', () => {
		const marks = (['handling', 'assembly', 'unknown', 'service'] as const).map((onset) => ({
			pattern: 'chipped',
			severity: 1,
			onset
		}));
		const [one] = countedLooks([look(1000, 0, { marks })]);
		expect(one.keptOut).toEqual(['handling', 'assembly', 'unknown']);
		expect(one.patterns).toEqual(['chipped']);
	});
	it('exposes a place from look to look, and a part from its fitting at the earliest', () => {
		const looks = [look(1000), look(2500), look(6000, 0, { part: 'b', fittedHours: 4000 })];
		expect(countedLooks(looks).map(({ hours }) => hours)).toEqual([undefined, 1500, 2000]);
	});
	it('answers by the pump’s hours whatever the order', () =>
		fc.assert(
			fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 1e5 }), { minLength: 1, maxLength: 12 }), (hours) => {
				const looks = hours.map((at) => look(at, (at % 3) + 1));
				expect(countedLooks(looks)).toEqual(countedLooks(looks.toReversed()));
				const exposed = countedLooks(looks).reduce((sum, look) => sum + (look.hours ?? 0), 0);
				expect(exposed).toBe(Math.max(...hours) - Math.min(...hours));
			}),
			{ seed: 11 }
		));
});
