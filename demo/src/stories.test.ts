import { describe, expect, it } from 'vitest';
import { Random } from './random';
import { pumps, people } from './shop';
import { fromTheDrawer, isFixed, painted, storyMarks, type Story } from './stories';
import { visits } from './history';

const of = (story: Story) => pumps.find((pump) => pump.story === story)!;
const winter = new Date('2026-01-10T08:00:00Z');
const summer = new Date('2025-07-10T08:00:00Z');
const always = () => true;
const told = (story: Story, more: object = {}) => ({
	pump: of(story),
	progress: 'whole' as const,
	years: 1,
	at: winter,
	...more
});
const seen = (where: ReturnType<typeof told>, station: string, cylinder: number) =>
	storyMarks(where, { station, cylinder }, always).map(({ pattern, onset }) => `${pattern} ${onset}`);

describe('the planted stories', () => {
	it('each have a pump, and no two the same', () => {
		const own = pumps.flatMap(({ story }) => (story ? [story] : []));
		expect([...new Set(own)].sort()).toEqual([...own].sort());
		expect(own).toHaveLength(5);
	});
	it('the barge eats its packing on one side until its rod is found out of line', () => {
		expect(seen(told('oneSidedCylinder2'), 'packing', 2)).toEqual(['oneSidedWear service']);
		expect(seen(told('oneSidedCylinder2'), 'packing', 1)).toEqual([]);
		expect(isFixed(told('oneSidedCylinder2', { years: 3.5 }))).toBe(true);
		expect(seen(told('oneSidedCylinder2', { years: 3.5 }), 'packing', 2)).toEqual([]);
		expect(painted(told('oneSidedCylinder2', { years: 3.5 }), { station: 'plunger', cylinder: 2 })).toEqual([]);
	});
	it('the ferry cavitates in summer alone, at every inlet valve', () => {
		for (const cylinder of [1, 2, 3]) {
			expect(seen(told('cavitatesInSummer', { at: summer }), 'inletSeat', cylinder)).toEqual(['pitted service']);
			expect(seen(told('cavitatesInSummer'), 'inletSeat', cylinder)).toEqual([]);
			expect(seen(told('cavitatesInSummer', { at: summer }), 'dischargeSeat', cylinder)).toEqual([]);
		}
	});
	it('the quarry has grit in all packings while its filter is bypassed', () => {
		for (const [years, grit] of [
			[1, []],
			[2.2, ['embeddedGrit service']],
			[3.5, []]
		] as const)
			expect(seen(told('filterBypassed', { years }), 'packing', 3)).toEqual(grit);
	});
	it('one hand pinches one ring, in whichever pump, and no one else’s does', () => {
		const hand = people.find(({ habit }) => habit)!;
		const other = people.find(({ habit, role }) => !habit && role !== 'viewer')!;
		expect(seen(told('metalInOil', { refitBy: hand.name }), 'retainerORing', 3)).toEqual(['pinched assembly']);
		expect(seen(told('metalInOil', { refitBy: hand.name }), 'retainerORing', 2)).toEqual([]);
		expect(seen(told('metalInOil', { refitBy: other.name }), 'retainerORing', 3)).toEqual([]);
	});
	it('springs of one batch wear faster, other parts and other years do not', () => {
		const part = { wear: new Map(), rate: new Map([['freeLength', 1]]), damagedAt: 1e9, hours: 0 };
		const rate = (type: 'spring' | 'valve', years: number) =>
			fromTheDrawer(part, { type } as never, years).rate.get('freeLength');
		expect([rate('spring', 1.2), rate('spring', 2), rate('valve', 1.2)]).toEqual([5, 1, 1]);
	});
	it('are met: there are visits in summer, while the filter is bypassed, and after the rod is put right', () => {
		const all = visits(new Date('2026-06-01T08:00:00Z'), new Random(20_240_118));
		const marked = (story: Story, station: string, cylinder: number) =>
			all.filter(
				(visit) =>
					visit.pump.story === story &&
					storyMarks({ ...visit, progress: 'whole' }, { station, cylinder }, always).length > 0
			).length;
		expect(marked('cavitatesInSummer', 'inletSeat', 1)).toBeGreaterThanOrEqual(2);
		expect(marked('filterBypassed', 'packing', 1)).toBeGreaterThanOrEqual(2);
		expect(marked('oneSidedCylinder2', 'packing', 2)).toBeGreaterThanOrEqual(3);
		expect(all.some(isFixed)).toBe(true);
	});
});
