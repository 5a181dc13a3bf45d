import { expect, it } from 'vitest';
import type { ShopRecurrence } from '@exetasis/server/trace/ofShop';
import { equalRows } from './equalRows';

const recurrence = (more: Partial<ShopRecurrence>) =>
	({
		pump: 'p',
		station: 'packing',
		pattern: 'grit',
		cylinder: 1,
		events: 3,
		hours: 9000,
		cost: 100,
		replaced: 3,
		openings: 0.5,
		since: new Date('2025-03-01'),
		...more
	}) as ShopRecurrence;

it('joins what is equal on several cylinders of a pump, and nothing else', () => {
	const rows = equalRows([
		recurrence({}),
		recurrence({ cylinder: 3, since: new Date('2024-03-01') }),
		recurrence({ cylinder: 2, events: 4 }),
		recurrence({ pump: 'q' }),
		recurrence({ cylinder: 2, caseId: 'c' })
	]);
	expect(rows.map(({ pump, cylinders, cost }) => [pump, cylinders, cost])).toEqual([
		['p', [1, 3], 200],
		['p', [2], 100],
		['q', [1], 100],
		['p', [2], 100]
	]);
	expect(rows[0]).toMatchObject({ replaced: 6, openings: 1, since: new Date('2024-03-01') });
});
