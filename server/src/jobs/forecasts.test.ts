import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { judgeMat } from '@exetasis/core/mat';
import { fold } from '@exetasis/core/record';
import * as heavy from '../background/heavy';
import { append } from '../benchLog/append';
import { entryOf, freshDatabase, makeShop, openJob, partAt, type TestShop } from '../testing';
import { benchOf, type Bench } from './bench';
import { foreseeOpenJobs, foreseen } from './forecasts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Foresight');
});
const asked = vi.spyOn(heavy, 'runHeavy');
afterAll(async () => {
	asked.mockRestore();
	await database.drop();
});

const reading = (bench: Bench, value: number) =>
	entryOf(
		bench,
		shop.people.technician,
		'reading',
		{ characteristic: 'diameter', row: 0, column: 0, value, typed: { text: String(value), unit: 'mm' } },
		partAt(bench, 'plunger', 1)
	);
const add = (bench: Bench, value: number) =>
	append(shop.scope, shop.people.technician, bench.job.id, [reading(bench, value)]);
const judged = (bench: Bench) => judgeMat(bench, fold(bench.entries).parts).map(({ judgement }) => judgement);

describe('what lies ahead of the parts on a mat', () => {
	it('is what each part would be judged by without it', async () => {
		const bench = await openJob(shop);
		await add(bench, 17.98);
		const now = (await benchOf(shop.scope, bench.job.id))!;
		const ahead = await foreseen(shop.scope.shopId, now);
		expect(Object.keys(ahead.forecasts!).sort()).toEqual(now.cells.map(({ part }) => part).sort());
		expect(judged(ahead)).toEqual(judged(now));
	});
	it('is worked out once, and after a reading for its part alone', async () => {
		const bench = await openJob(shop, { meterHours: 1300 });
		await foreseen(shop.scope.shopId, bench);
		asked.mockClear();
		await foreseen(shop.scope.shopId, (await benchOf(shop.scope, bench.job.id))!);
		expect(asked).not.toHaveBeenCalled();
		await add(bench, 17.97);
		await foreseen(shop.scope.shopId, (await benchOf(shop.scope, bench.job.id))!);
		expect(asked.mock.calls.map(([, task, inputs]) => [task, (inputs as unknown as unknown[]).length])).toEqual([
			['forecastsOf', 1]
		]);
	});
	it('of open jobs is there before anyone opens them', async () => {
		const bench = await openJob(shop, { meterHours: 1700 });
		await foreseeOpenJobs(shop.scope, bench.job.model);
		asked.mockClear();
		await foreseen(shop.scope.shopId, bench);
		expect(asked).not.toHaveBeenCalled();
	});
});
