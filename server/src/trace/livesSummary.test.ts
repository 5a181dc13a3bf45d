import { describe, expect, it } from 'vitest';
import { exactLife, intervalCensored, rightCensored, type ObservedLife } from '@exetasis/core/survival';
import type { Life, ShopLives } from './lives';
import { summaryOf } from './livesSummary';

const life = (observed: ObservedLife, group: string, hours: number, removed: boolean): Life =>
	({
		...observed,
		pump: 'p',
		serial: 'MAR-0001',
		cylinder: 1,
		fittedHours: 0,
		group,
		hours,
		removed,
		endReason: removed ? 'failed' : null
	}) as unknown as Life;
const ended = (hours: number, group = 'all') => life(exactLife(hours), group, hours, true);
const between = (from: number, to: number, group = 'all') => life(intervalCensored(from, to), group, to, true);
const held = (hours: number, group = 'all', removed = false) => life(rightCensored(hours), group, hours, removed);
const shop = (lives: readonly Life[], more: Partial<ShopLives> = {}): ShopLives => ({
	lives,
	unknownAge: 0,
	endedUnwatched: 0,
	watched: [],
	...more
});
/** Twenty ends of a Weibull of this scale and shape 2.5, at the middles of twenty equal shares. */
const weibull = (scale: number, group: string) =>
	Array.from({ length: 20 }, (_, i) => ended(scale * (-Math.log(1 - (i + 0.5) / 20)) ** (1 / 2.5), group));

describe('lives worked out for the page', () => {
	it('lets parts that were watched late into the fit alone', () => {
		const late = Array.from({ length: 10 }, () => ({ ...held(6000), watchedFrom: 5900 }));
		const { groups, watchedLate, ranges, steps } = summaryOf(shop([...weibull(4000, 'all'), ...late]), []);
		const { groups: without, steps: stepsWithout } = summaryOf(shop(weibull(4000, 'all')), []);
		expect(watchedLate).toBe(10);
		expect(groups[0].masses).toEqual(without[0].masses);
		expect([ranges, steps]).toEqual([[], stepsWithout]);
		expect(groups[0].fit).not.toEqual(without[0].fit);
	});
	it('fits each group, the largest first, with its band and without a shape assumed', () => {
		const { groups, moreGroups } = summaryOf(shop([held(900, 'few'), ...weibull(4000, 'many')]), []);
		expect(groups.map(({ name, lives }) => [name, lives])).toEqual([
			['many', 20],
			['few', 1]
		]);
		expect(moreGroups).toBe(0);
		const [{ fit, curve, masses, ended: ends }] = groups;
		expect(ends).toBe(20);
		if (fit.kind !== 'fitted') throw new Error(fit.kind);
		expect(fit.scale.value).toBeCloseTo(4000, -3);
		expect(fit.shape.value).toBeGreaterThan(2);
		expect(curve).toHaveLength(60);
		for (const [i, { low, value, high }] of curve.entries()) {
			expect(low).toBeLessThanOrEqual(value + 1e-9);
			expect(high).toBeGreaterThanOrEqual(value - 1e-9);
			if (i > 0) expect(value).toBeGreaterThanOrEqual(curve[i - 1].value);
		}
		expect(masses.at(-1)!.ended).toBeCloseTo(1, 9);
	});
	it('sets the naive answer beside it: everything that was taken out a failure', () => {
		const renewed = Array.from({ length: 30 }, (_, i) => held(1500 + i, 'all', true));
		const [{ fit, naive }] = summaryOf(shop([...renewed, ended(2000), ended(2500), ended(2600)]), []).groups;
		if (fit.kind !== 'fitted' || naive.kind !== 'fitted') throw new Error(`${fit.kind}, ${naive.kind}`);
		const b10 = (weibullFit: typeof fit) => weibullFit.b10.value;
		expect(b10(naive)).toBeLessThan(b10(fit));
	});
	it('says the least scale that the record allows where nothing has ended, and no curve', () => {
		const [{ fit, least, curve, masses, censored }] = summaryOf(shop([held(1000), held(2000)]), []).groups;
		expect(fit.kind).not.toBe('fitted');
		// At shape 2: (Σ t² / −ln 0.05)^½, the one-sided bound of 95 %.
		expect(least).toEqual({ shape: 2, scale: expect.closeTo(Math.sqrt(5e6 / -Math.log(0.05)), 0) });
		expect([curve, masses]).toEqual([[], []]);
		expect(censored).toEqual([1000, 2000]);
	});
	it('compares the two groups that were asked for, else the two largest, else none', () => {
		const lives = [...weibull(4000, 'a'), ...weibull(1500, 'b'), ...weibull(4000, 'c').filter((_, i) => i % 4 === 2)];
		const asked = summaryOf(shop(lives), ['a', 'c']).compared!;
		expect(asked.names).toEqual(['a', 'c']);
		const largest = summaryOf(shop(lives), ['nothing']).compared!;
		expect(largest.names).toEqual(['a', 'b']);
		expect(largest.logRank.p).toBeLessThan(0.01);
		expect(asked.logRank.p).toBeGreaterThan(0.2);
		expect(summaryOf(shop(weibull(4000, 'a')), []).compared).toBeUndefined();
	});
	it('shows twelve groups and says how many more there are', () => {
		const lives = Array.from({ length: 15 }, (_, i) => ended(1000 + i, `lot ${i}`));
		const { groups, moreGroups } = summaryOf(shop(lives), []);
		expect([groups.length, moreGroups]).toEqual([12, 3]);
	});
	it('carries intervals as intervals', () => {
		const [{ masses }] = summaryOf(shop([between(500, 1500), between(500, 1500), held(3000)]), []).groups;
		expect(masses).toEqual([{ after: 500, by: 1500, ended: expect.closeTo(2 / 3, 6) }]);
	});
	it('counts replacements from the first sight of each pump, and pumps that were seen once not at all', () => {
		const watched = [
			{ pump: 'a', from: 1000, until: 5000, visits: [1000, 2500, 5000], replacedAt: [1000, 2500, 5000] },
			{ pump: 'b', from: 0, until: 4000, visits: [0, 4000], replacedAt: [] },
			{ pump: 'c', from: 700, until: 700, visits: [700], replacedAt: [700] }
		];
		const { pumps, replacements } = summaryOf(shop([ended(1500)], { watched, unknownAge: 3 }), []);
		expect(pumps).toBe(2);
		expect(replacements.at(-1)).toMatchObject({ hours: 4000, mean: expect.closeTo(1, 9) });
	});
	it('draws survival by Turnbull where an end lies between two inspections, by Kaplan and Meier where all are exact', () => {
		const inspected = summaryOf(shop([between(500, 1500), ended(2000), held(3000)]), []);
		expect(inspected.steps).toEqual([]);
		expect(inspected.ranges.at(-1)).toMatchObject({ least: expect.closeTo(1 / 3, 6), most: expect.closeTo(1 / 3, 6) });
		const exact = summaryOf(shop([ended(1500), held(3000)]), []);
		expect(exact.ranges).toEqual([]);
		expect(exact.steps).toHaveLength(1);
	});
	it('stays silent, not wrong, where there is nothing', () => {
		const empty = summaryOf(shop([]), []);
		expect(empty.groups).toEqual([]);
		expect(empty.compared).toBeUndefined();
		expect(JSON.stringify(empty)).not.toContain('null,null');
	});
});
