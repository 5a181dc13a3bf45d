import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { comparePlaces, falseDiscovery, harshnessOf, type EventsAtPlace } from '.';

/** Events of two kinds at two stations, by pump; every place ran for the same hours. */
function rows(events: Readonly<Record<string, readonly [number, number]>>, hours = 10_000): EventsAtPlace[] {
	return Object.entries(events).flatMap(([pump, each]) =>
		(['packing', 'valve'] as const).flatMap((station, i) => [
			{ pump, station, cylinder: 1, pattern: null, events: 0, hours },
			...(each[i] > 0 ? [{ pump, station, cylinder: 1, pattern: 'worn', events: each[i], hours: 0 }] : [])
		])
	);
}
const six = (first: readonly [number, number], rest: readonly [number, number]) =>
	rows({ a: first, ...Object.fromEntries(['b', 'c', 'd', 'e', 'f'].map((pump) => [pump, rest])) });
const byPump = (given: readonly EventsAtPlace[], pump: string) =>
	harshnessOf('Marram', given).pumps.find((pumpHarshness) => pumpHarshness.pump === pump)!;

describe('harshnessOf', () => {
	it('names the pump that has four times as much of everything', () => {
		const pump = byPump(six([40, 20], [10, 5]), 'a');
		expect(pump.events).toBe(60);
		expect(pump.expected).toBeCloseTo(15, 6); // five others with 75 events between them
		expect(pump.ratio).toBeCloseTo(4, 6);
		expect(pump.p).toBeLessThan(1e-6);
		expect(byPump(six([40, 20], [10, 5]), 'b').p).toBeGreaterThan(0.3);
	});
	it('is exact where the others do not differ: Poisson given the total', () => {
		// P(X ≥ 3 | 8 events, a sixth of the hours) = 1 − Σ k ≤ 2 of C(8,k)(1/6)^k(5/6)^(8−k) = 0.13485
		expect(byPump(six([3, 0], [1, 0]), 'a').p).toBeCloseTo(0.13485, 4);
	});
	it('allows for what each kind of event is, where pumps have run unlike hours at them', () => {
		// The packing wears ten times as fast as the valve; pump a ran at its packing alone.
		const given = [
			...rows({ a: [20, 0], b: [10, 1], c: [10, 1], d: [10, 1] }).filter(
				({ pump, station }) => pump !== 'a' || station === 'packing'
			)
		].map((row) => (row.pump === 'a' && row.pattern === null ? { ...row, hours: 20_000 } : row));
		expect(byPump(given, 'a').ratio).toBeCloseTo(1, 6);
	});
	it('leaves the kind in question out of the factor that it is held against', () => {
		const given = rows({ a: [60, 5], b: [10, 20], c: [10, 5], d: [10, 5], e: [10, 1], f: [10, 10] });
		const { factorOf } = harshnessOf('Marram', given);
		expect(factorOf('a', 'packing/worn').factor).toBeLessThan(1.5);
		expect(factorOf('a', 'valve/worn').factor).toBeGreaterThan(2);
	});
	it('makes of a harsh pump no surprise at its places, and hides no place that is worse than its pump', () => {
		const kinds = Array.from({ length: 12 }, (_, i) => `station${i}`);
		const fleet = (own: (kind: number) => number) =>
			['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].flatMap((pump, p) =>
				kinds.flatMap((station, kind): EventsAtPlace[] => [
					{ pump, station, cylinder: 1, pattern: null, events: 0, hours: 10_000 },
					{ pump, station, cylinder: 1, pattern: 'worn', events: p === 0 ? own(kind) : 1 + ((p + kind) % 3), hours: 0 }
				])
			);
		const standing = (given: readonly EventsAtPlace[]) => {
			const compared = comparePlaces(
				given,
				() => 'Marram',
				undefined,
				new Map([['Marram', harshnessOf('Marram', given)]])
			);
			const qs = falseDiscovery(compared.map(({ p }) => p));
			return compared.filter((_, i) => qs[i] <= 0.05).map(({ row }) => `${row.pump} ${row.station}`);
		};
		expect(standing(fleet(() => 8))).toEqual([]);
		expect(standing(fleet((kind) => (kind === 3 ? 60 : 8)))).toEqual(['a station3']);
		expect(
			byPump(
				fleet(() => 8),
				'a'
			).p
		).toBeLessThan(1e-4);
	});
	it('says nothing of a pump alone, nor where nothing happened', () => {
		expect(byPump(rows({ a: [9, 9] }), 'a')).toMatchObject({ p: 1, ratio: 1 });
		expect(harshnessOf('Marram', rows({ a: [0, 0], b: [0, 0] })).pumps).toEqual([]);
		expect(harshnessOf('Marram', []).factorOf('x', 'packing/worn')).toEqual({ factor: 1, variation: 0 });
	});
	it('does not depend on the unit of time, and its figures are finite', () => {
		const count = fc.integer({ min: 0, max: 200 });
		fc.assert(
			fc.property(fc.array(fc.tuple(count, count), { minLength: 2, maxLength: 6 }), (counts) => {
				const events = Object.fromEntries(counts.map((each, i) => [`p${i}`, each] as const));
				const [hours, days] = [rows(events, 24_000), rows(events, 1000)].map((given) => harshnessOf('m', given).pumps);
				for (const [i, inHours] of hours.entries()) {
					expect(inHours.p).toBeGreaterThanOrEqual(0);
					expect(inHours.p).toBeLessThanOrEqual(1);
					expect(days[i].p).toBeCloseTo(inHours.p, 6);
					expect(days[i].expected).toBeCloseTo(inHours.expected, 6);
				}
			}),
			{ numRuns: 100 }
		);
	});
	it('refuses counts and hours that cannot be', () => {
		expect(() => harshnessOf('m', rows({ a: [1, 1] }, -1))).toThrow('harshnessOf');
		expect(() => harshnessOf('m', rows({ a: [0.5, 1] }))).toThrow('harshnessOf');
	});
});
