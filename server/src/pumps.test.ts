import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { rows } from './db/sql/statement';
import { pumpsOf, runningHoursADay } from './pumps';
import { freshDatabase, makeShop, receiveJob, type TestShop } from './testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;

beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
});
afterAll(() => database.drop());

/** A pump that came in on these days before now with these hours; the last rebuild released or not. */
async function pumpIn(serial: string, visits: readonly { daysAgo: number; hours: number }[], released: boolean) {
	let pump = '';
	for (const { daysAgo, hours } of visits) {
		const { job } = await receiveJob(shop, {
			pump: pump ? { id: pump } : { serial, model: 'Marram' },
			meterHours: hours
		});
		pump = job.pumpId;
		await rows(
			shop.scope,
			`UPDATE job SET received_at = now() - $3 * interval '1 day', released_at = CASE WHEN $4 THEN now() END,
			released_by = CASE WHEN $4 THEN $5 END
			WHERE shop_id = $1 AND id = $2 RETURNING id`,
			[job.id, daysAgo, released || daysAgo > visits.at(-1)!.daysAgo, shop.people.lead.id]
		);
	}
	return pump;
}
const daysUntil = (due: Date | null) => due && (due.getTime() - Date.now()) / 86_400_000;

describe('the list of pumps', () => {
	it('by when they are due: the hours a day between rebuilds, 8 where there was one, nothing of a pump that is here', async () => {
		// 1,000 h in 100 days are 10 h a day: 2,000 h after its last visit, 150 days ago, it was due 50 days from now.
		const often = await pumpIn('OFTEN', [{ daysAgo: 250, hours: 3000 }, { daysAgo: 150, hours: 4000 }], true); // prettier-ignore
		await pumpIn('ONCE', [{ daysAgo: 300, hours: 500 }], true);
		await pumpIn('HERE', [{ daysAgo: 400, hours: 500 }], false);
		const { pumps } = await pumpsOf(shop.scope, { order: 'due' });
		expect(pumps.map(({ serial, here, dueAssumed }) => [serial, here, dueAssumed])).toEqual([
			['ONCE', false, true],
			['OFTEN', false, false],
			['HERE', true, true]
		]);
		expect(daysUntil(pumps[0].due)).toBeCloseTo(2000 / 8 - 300, 1);
		expect(daysUntil(pumps[1].due)).toBeCloseTo(2000 / 10 - 150, 1);
		expect(pumps[2].due).toBeNull();
		expect((await runningHoursADay(shop.scope, often)).hours).toBeCloseTo(10, 3);
	});
	it('by serial number where nothing else is asked, page by page', async () => {
		const { pumps, of } = await pumpsOf(shop.scope, { limit: 2, offset: 1 });
		expect([pumps.map(({ serial }) => serial), of]).toEqual([['OFTEN', 'ONCE'], 3]);
	});
});
