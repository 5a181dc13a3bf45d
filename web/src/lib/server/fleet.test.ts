import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { append } from './benchLog';
import { rows } from './db/query';
import { benchOf, release } from './jobs';
import { decideAll, entryOf, freshDatabase, makeShop, openJob, partAt, type TestShop } from './testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
});
afterAll(() => database.drop());

/** One more rebuild of a pump: its packings are read at this lip diameter, then all is renewed. */
async function rebuild(pump: string | undefined, meterHours: number, lip: number) {
	const user = shop.people.technician;
	const bench = await openJob(shop, { meterHours, ...(pump ? { pump: { id: pump } } : {}) });
	const readings = [1, 2, 3].map((cylinder) => {
		const value = lip + cylinder * 0.004;
		const payload = {
			characteristic: 'insideDiameter',
			station: 0,
			angle: 0,
			value,
			typed: { text: String(value), unit: 'mm' }
		};
		return entryOf(bench, user, 'reading', payload, partAt(bench, 'packing', cylinder));
	});
	await append(shop.scope, user, bench.job.id, [...readings, ...decideAll(bench, user, 'replace')]);
	expect(await release(shop.scope, user.id, bench.job.id)).toMatchObject({ kind: 'released' });
	return bench.job.pumpId;
}

describe('fitted wear', () => {
	it('counts parts whose fitting is on record, says when they are too few, and is fitted once', async () => {
		const pump = await rebuild(undefined, 1000, 17.7); // fitted before the record began: no life counts yet
		await rebuild(pump, 2000, 17.72);
		const early = await openJob(shop, { pump: { id: pump }, meterHours: 2500 });
		expect(early.fleet.wear['packing/insideDiameter']).toEqual({ kind: 'tooFew', parts: 3 });
		await append(shop.scope, shop.people.technician, early.job.id, decideAll(early, shop.people.technician, 'replace'));
		await release(shop.scope, shop.people.technician.id, early.job.id);
		await rebuild(pump, 3500, 17.71);
		await rebuild(pump, 4600, 17.74);
		const later = await openJob(shop, { pump: { id: pump }, meterHours: 5000 });
		expect(later.fleet.wear['packing/insideDiameter']).toMatchObject({ kind: 'fitted', parts: 9 });
		const fits = () => rows(shop.scope, 'SELECT 1 FROM wear_fit WHERE shop_id = $1');
		const before = (await fits()).length;
		await benchOf(shop.scope, later.job.id);
		expect(await fits()).toHaveLength(before);
	});
	it('of one shop is not that of another', async () => {
		const other = await makeShop(database.db, 'Skerry');
		expect((await openJob(other)).fleet.wear['packing/insideDiameter']).toEqual({ kind: 'tooFew', parts: 0 });
	});
});
