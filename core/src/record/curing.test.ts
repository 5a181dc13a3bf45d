// When what was put on has set: by the last step that used it, by the sheet's own time, and not at all where nothing sets.
import { expect, it } from 'vitest';
import { demoSheet } from '../decide/testing';
import { buildSteps, curing } from '.';

const heather = demoSheet('heather');
const plan = buildSteps(heather, { scope: 'full' });

it('counts from the last step that used a product', () => {
	expect(curing(heather, plan, new Map())).toEqual([]);
	const first = curing(heather, plan, new Map([['plungersOn', 1_000]]));
	expect(first.map(({ product, until }) => [product.key, until])).toEqual([['locker', 1_000 + 1440 * 60_000]]);
	expect(curing(heather, plan, new Map([['plungersOn', 5_000]]))[0].until).toBe(5_000 + 1440 * 60_000);
});
it('says nothing of a product without a setting time', () =>
	expect(curing(heather, plan, new Map([['torqueCaps', 1_000]]))).toEqual([]));
