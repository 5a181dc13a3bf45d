import { describe, expect, it } from 'vitest';
import { comparePlaces, falseDiscovery, type EventsAtPlace } from '.';

/** Pumps of one model with three cylinders each; events of one pattern by pump and cylinder. */
function rows(events: Readonly<Record<string, readonly number[]>>, hours = 10_000): EventsAtPlace[] {
	return Object.entries(events).flatMap(([pump, each]) =>
		each.flatMap((count, i) => [
			{ pump, station: 'packing', cylinder: i + 1, pattern: null, events: 0, hours },
			...(count > 0 ? [{ pump, station: 'packing', cylinder: i + 1, pattern: 'torn', events: count, hours: 0 }] : [])
		])
	);
}
const model = () => 'Marram';
const worst = (given: readonly EventsAtPlace[]) => comparePlaces(given, model).toSorted((a, b) => a.p - b.p)[0];

describe('comparePlaces', () => {
	it('compares every place at which the pattern could have come up', () =>
		expect(comparePlaces(rows({ a: [2, 0, 0], b: [0, 0, 0] }), model)).toHaveLength(6));
	it('finds the place that always shows it, and leaves it out of what it is held against', () => {
		const place = worst(rows({ a: [0, 9, 0], b: [1, 0, 0], c: [0, 0, 1], d: [0, 1, 0] }));
		expect(place.row).toMatchObject({ pump: 'a', cylinder: 2 });
		expect(place.expected).toBeCloseTo(3 / 9, 10);
		expect(place.p).toBeLessThan(1e-6);
	});
	it('is exact where the others never had it: the share of the hours, to the power of the events', () => {
		const place = worst(rows({ a: [3, 0, 0], b: [0, 0, 0], c: [0, 0, 0] }));
		expect(place.p).toBeCloseTo((1 / 7) ** 3, 12);
	});
	it('holds a place against a spread of rates, not their mean alone', () => {
		const spread = worst(rows({ a: [6, 0, 0], b: [5, 4, 5], c: [0, 0, 0], d: [0, 1, 0], e: [7, 6, 5] }));
		expect(spread.shrunken).toBeDefined();
		expect(spread.p).toBeGreaterThan(0.01);
	});
	it('never calls once surprising, nor a pump alone in its model', () => {
		expect(worst(rows({ a: [1, 0, 0], b: [0, 0, 0] })).p).toBe(1);
		expect(worst(rows({ a: [9, 0, 0] })).p).toBe(1);
	});
	it('holds a pump against those of its duty where they are enough, so that a hard duty is no alarm', () => {
		const twelve = (letter: string, each: readonly number[]) =>
			Object.fromEntries(Array.from({ length: 12 }, (_, i) => [`${letter}${i}`, each]));
		const hard = twelve('hard', [4, 3, 4]);
		const mild = twelve('mild', [0, 0, 0]);
		const fleet = rows({ ...hard, ...mild });
		const dutyOf = (pump: string) => (pump in hard ? 'hard' : 'mild');
		const expected = (duty?: typeof dutyOf, given = fleet) =>
			comparePlaces(given, model, duty).find(({ row }) => row.pump === 'hard0')!.expected!;
		expect(expected(dutyOf)).toBeCloseTo(11 / 3, 1);
		expect(expected()).toBeLessThan(2);
		// Eleven of a duty are ten others: too few.
		const fewer = fleet.filter(({ pump }) => pump !== 'hard11');
		expect(expected(dutyOf, fewer)).toBeCloseTo(expected(undefined, fewer), 12);
	});
	it('keeps models apart', () => {
		const given = rows({ a: [0, 4, 0], b: [4, 4, 4] });
		const apart = comparePlaces(given, (pump) => pump);
		expect(falseDiscovery(apart.map(({ p }) => p)).every((q) => q === 1)).toBe(true);
	});
});
