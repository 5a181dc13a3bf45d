import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contrastGroups, type GroupedEvents } from './contrastGroups';

const at = { model: 'Marram', station: 'packing', age: 0, size: null };
const hours = (group: string, hours: number): GroupedEvents => ({ ...at, group, pattern: null, events: 0, hours });
const none = { comparisons: 0, contrasts: [] };
const found = (group: string, events: number, pattern = 'lipTorn'): GroupedEvents => ({
	...at,
	...{ group, pattern, events, hours: 0 }
});

describe('contrastGroups', () => {
	it('holds each group against all others together, with the exact chance', () => {
		const {
			contrasts: [first, ...rest],
			comparisons
		} = contrastGroups([...[hours('A', 1000), hours('B', 2000), hours('C', 1000)], ...[found('A', 8), found('B', 2)]]);
		expect(rest).toHaveLength(2);
		expect(comparisons).toBe(3);
		expect(first).toMatchObject({ group: 'A', events: 8, others: { events: 2, hours: 3000 } });
		expect(first.rates.ratio).toBeCloseTo(12, 12);
		// scipy.stats.binom.sf(7, 10, 0.25) · 2
		expect(first.rates.p).toBeCloseTo(2 * 0.000415802001953125, 12);
		expect(first.q).toBeCloseTo(3 * first.rates.p, 12);
	});
	it('counts two groups, which say the same twice, once: by the one with the higher rate, whichever comes first', () => {
		const rows = [hours('A', 10), hours('B', 10), found('B', 3)];
		for (const some of [rows, rows.toReversed()]) {
			const { contrasts, comparisons } = contrastGroups(some);
			expect(comparisons).toBe(1);
			expect(contrasts).toMatchObject([{ group: 'B', events: 3, others: { events: 0, hours: 10 } }]);
		}
	});
	it('holds parts against parts that had been in as long', () => {
		const old = { age: 3 };
		const rows = [
			...[hours('A', 9000), hours('B', 200)].map((row) => ({ ...row, ...old })),
			...[found('A', 45), found('B', 1)].map((row) => ({ ...row, ...old })),
			...[hours('A', 100), hours('B', 9000), found('B', 9)]
		];
		const [told] = contrastGroups(rows).contrasts;
		expect(told).toMatchObject({ events: told.group === 'A' ? 45 : 10, q: 1 });
		const [untold] = contrastGroups(rows.map((row) => ({ ...row, age: 0 }))).contrasts;
		expect(untold.q).toBeLessThan(1e-5);
	});
	it('does not compare a group that no other is as old as', () =>
		expect(contrastGroups([hours('A', 10), { ...hours('B', 10), age: 1 }, found('A', 3)]).comparisons).toBe(0));
	it('holds a size against the hours over which it was read', () => {
		const size = (group: string, events: number, hours: number): GroupedEvents => ({
			...at,
			...{ group, events, hours, pattern: null, size: 'freeLength' }
		});
		const rows = [size('A', 6, 1000), size('B', 1, 3000), hours('A', 1e6), hours('B', 1e6), found('B', 2)];
		const { contrasts, comparisons } = contrastGroups(rows);
		expect(comparisons).toBe(2);
		expect(contrasts[0]).toMatchObject({ size: 'freeLength', pattern: null, group: 'A', events: 6, hours: 1000 });
		expect(contrasts[1]).toMatchObject({ size: null, pattern: 'lipTorn', hours: 1e6 });
	});
	it('shows as many as are asked for, and counts all', () => {
		const rows = [...'ABCDE'].flatMap((group, i) => [hours(group, 1000), found(group, i)]);
		const { contrasts, comparisons } = contrastGroups(rows, 2);
		expect(comparisons).toBe(5);
		expect(contrasts).toEqual(contrastGroups(rows).contrasts.slice(0, 2));
	});
	it('compares nothing where there is one group alone, or no hours', () => {
		expect(contrastGroups([hours('A', 10), found('A', 3)])).toEqual(none);
		expect(contrastGroups([found('A', 3), found('B', 3)])).toEqual(none);
		expect(contrastGroups([hours('A', 10), hours('B', 0), found('A', 3)])).toEqual(none);
		expect(contrastGroups([])).toEqual(none);
	});
	it('keeps places and patterns apart', () => {
		const other = { ...at, station: 'valve' };
		const rows = [hours('A', 10), hours('B', 10), found('A', 3), found('B', 1, 'glazed')];
		const elsewhere = rows.map((row) => ({ ...row, ...other }));
		const all = contrastGroups([...rows, ...elsewhere]).contrasts;
		expect(all).toHaveLength(4);
		expect(all.every(({ events, others }) => events + others.events === 3 || events + others.events === 1)).toBe(true);
	});
	it('never says less of chance than the comparison alone, whatever comes', () =>
		fc.assert(
			fc.property(
				fc.array(
					fc.record({
						group: fc.constantFrom('A', 'B', 'C', 'D'),
						events: fc.nat(20),
						hours: fc.integer({ min: 1, max: 5000 })
					})
				),
				(groups) => {
					const rows = groups.flatMap((group) => [hours(group.group, group.hours), found(group.group, group.events)]);
					const distinct = [...new Map(rows.map((row) => [`${row.group}/${row.pattern}`, row])).values()];
					for (const { q, rates } of contrastGroups(distinct).contrasts)
						expect(q).toBeGreaterThanOrEqual(rates.p - 1e-12);
				}
			)
		));
});
