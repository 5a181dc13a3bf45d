import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Entry } from '@exetasis/core/record';
import type { Bench } from '../jobs/bench';
import { entryOf, freshDatabase, makeShop, receiveJob, type TestShop } from '../testing';
import { append } from './append';
import { LATE_MS, lateWork } from './late';

describe('work that arrives too late for its order to be held', () => {
	let database: Awaited<ReturnType<typeof freshDatabase>>;
	let shop: TestShop;
	let other: TestShop;
	beforeAll(async () => {
		database = await freshDatabase();
		shop = await makeShop(database.db, 'Harrow');
		other = await makeShop(database.db, 'Skerry');
	});
	afterAll(() => database.drop());

	const step = (bench: Bench, key: string, ago: number): Entry => ({
		...entryOf(bench, shop.people.technician, 'step', { step: key }),
		at: new Date(Date.now() - ago).toISOString()
	});
	const send = (bench: Bench, entries: readonly Entry[], asRecorded = false) =>
		append(shop.scope, shop.people.technician, bench.job.id, entries, { asRecorded });

	it('is told by person and arrival, with the steps in the order in which they were recorded', async () => {
		const bench = await receiveJob(shop);
		await send(bench, [step(bench, 'isolate', 20 * 60_000), step(bench, 'release', 10 * 60_000)]);
		const [batch, ...rest] = await lateWork(shop.scope, bench.job.id);
		expect(rest).toEqual([]);
		expect(batch).toMatchObject({ by: shop.people.technician.id, entries: 2, steps: ['isolate', 'release'] });
		expect(batch.to.getTime() - batch.from.getTime()).toBeCloseTo(10 * 60_000, -3);
		expect(batch.arrivedAt.getTime() - batch.to.getTime()).toBeGreaterThan(LATE_MS);
		expect(await lateWork(other.scope, bench.job.id)).toEqual([]);
	});
	it('is none of what arrives at once, nor of a history that is loaded as it was recorded', async () => {
		const bench = await receiveJob(shop);
		await send(bench, [step(bench, 'isolate', LATE_MS / 2)]);
		await send(bench, [step(bench, 'release', 30 * 24 * 3600_000)], true);
		expect(await lateWork(shop.scope, bench.job.id)).toEqual([]);
	});
});
