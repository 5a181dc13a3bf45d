import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contrastGroups, type GroupedEvents } from './contrastGroups';

const at = { model: 'Marram', station: 'packing' };
const hours = (group: string, hours: number): GroupedEvents => ({ ...at, group, pattern: null, events: 0, hours });
const found = (group: string, events: number, pattern = 'lipTorn'): GroupedEvents => ({
	...at,
	...{ group, pattern, events, hours: 0 }
});

describe('contrastGroups', () => {
	it('holds each group against all others together, with the exact chance', () => {
		const [first, ...rest] = contrastGroups([
			...[hours('A', 1000), hours('B', 2000), hours('C', 1000)],
			...[found('A', 8), found('B', 2)]
		]);
		expect(rest).toHaveLength(2);
		expect(first).toMatchObject({ group: 'A', events: 8, others: { events: 2, hours: 3000 } });
		expect(first.rates.ratio).toBeCloseTo(12, 12);
		// scipy.stats.binom.sf(7, 10, 0.25) · 2
		expect(first.rates.p).toBeCloseTo(2 * 0.000415802001953125, 12);
		expect(first.q).toBeCloseTo(3 * first.rates.p, 12);
	});
	it('counts two groups, which say the same twice, once', () =>
		expect(contrastGroups([hours('A', 10), hours('B', 10), found('A', 3)])).toHaveLength(1));
	it('compares nothing where there is one group alone, or no hours', () => {
		expect(contrastGroups([hours('A', 10), found('A', 3)])).toEqual([]);
		expect(contrastGroups([found('A', 3), found('B', 3)])).toEqual([]);
		expect(contrastGroups([hours('A', 10), hours('B', 0), found('A', 3)])).toEqual([]);
		expect(contrastGroups([])).toEqual([]);
	});
	it('keeps places and patterns apart', () => {
		const other = { ...at, station: 'valve' };
		const rows = [hours('A', 10), hours('B', 10), found('A', 3), found('B', 1, 'glazed')];
		const elsewhere = rows.map((row) => ({ ...row, ...other }));
		const all = contrastGroups([...rows, ...elsewhere]);
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
					const rows = groups.flatMap((one) => [hours(one.group, one.hours), found(one.group, one.events)]);
					const distinct = [...new Map(rows.map((row) => [`${row.group}/${row.pattern}`, row])).values()];
					for (const { q, rates } of contrastGroups(distinct)) expect(q).toBeGreaterThanOrEqual(rates.p - 1e-12);
				}
			)
		));
});
