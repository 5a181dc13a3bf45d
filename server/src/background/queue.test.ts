import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { closeDatabase } from '../db/connection';
import { rows } from '../db/sql/statement';
import { append } from '../benchLog/append';
import { decideAll, freshDatabase, releaseDespite, makeShop, openJob, type TestShop } from '../testing';
import { startBackground, stopBackground } from './queue';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
const given = process.env.DATABASE_URL;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Queue');
});
afterAll(async () => {
	await stopBackground();
	await closeDatabase();
	process.env.DATABASE_URL = given;
	await database.drop();
});

const fits = () => rows(shop.scope, 'SELECT 1 FROM fleet_fit WHERE shop_id = $1');

describe('background work', () => {
	it('waits for a database that does not answer, starts when it does, and fits what a release asks for', async () => {
		const later = vi.spyOn(globalThis, 'setTimeout');
		process.env.DATABASE_URL = 'postgres://nobody@127.0.0.1:9/none';
		await startBackground();
		const again = later.mock.calls.find(([, ms]) => ms === 30_000);
		later.mockRestore();
		expect(again).toBeDefined();

		process.env.DATABASE_URL = database.url;
		(again![0] as () => void)();
		const technician = shop.people.technician;
		const bench = await openJob(shop);
		await append(shop.scope, technician, bench.job.id, decideAll(bench, technician, 'replace'));
		const started = () => rows(shop.scope, `SELECT 1 FROM pg_tables WHERE $1 <> '' AND tablename = 'schedule'`);
		await vi.waitFor(async () => expect(await started()).toHaveLength(1), { timeout: 20_000, interval: 200 });
		expect((await releaseDespite(shop, bench.job.id)).kind).toBe('released');
		await vi.waitFor(async () => expect(await fits()).toHaveLength(1), { timeout: 30_000, interval: 300 });
	}, 60_000);
});
