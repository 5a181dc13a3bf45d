// Which cylinders a job opens, changed while it is open: what comes on to the mat, what leaves it, and what holds a cylinder open.
import { afterAll, beforeAll, expect, it } from 'vitest';
import { append } from '../benchLog/append';
import {
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	partAt,
	decideAll,
	type TestShop
} from '../testing';
import { benchOf } from './bench';
import { changeOpened } from './opened';

let shop: TestShop;
let other: TestShop;
let drop: () => Promise<void>;
beforeAll(async () => {
	const database = await freshDatabase();
	drop = () => database.drop();
	shop = await makeShop(database.db, 'Opened');
	other = await makeShop(database.db, 'Other');
});
afterAll(() => drop());

const cylindersOf = async (jobId: string) => {
	const { cells } = (await benchOf(shop.scope, jobId))!;
	return [...new Set(cells.map(({ cylinder }) => cylinder))].sort((a, b) => a - b);
};

it('lays out a cylinder that is opened after all, and clears one that stays shut', async () => {
	const bench = await openJob(shop, { facts: { cylinders: [2] } });
	expect(await cylindersOf(bench.job.id)).toEqual([0, 2]);
	const each = bench.cells.filter(({ cylinder }) => cylinder === 2).length;
	expect(await changeOpened(shop.scope, bench.job.id, [3, 2])).toEqual({ kind: 'changed', added: each, removed: 0 });
	expect(await cylindersOf(bench.job.id)).toEqual([0, 2, 3]);
	expect(await changeOpened(shop.scope, bench.job.id, [1, 2, 3])).toMatchObject({ added: each });
	expect((await benchOf(shop.scope, bench.job.id))!.job.arrival.cylinders).toBeUndefined();
	expect(await changeOpened(shop.scope, bench.job.id, [1])).toEqual({ kind: 'changed', added: 0, removed: 2 * each });
	expect(await cylindersOf(bench.job.id)).toEqual([0, 1]);
});

it('keeps a cylinder open if something is recorded about its parts', async () => {
	const bench = await openJob(shop);
	const { technician } = shop.people;
	const inspection = entryOf(bench, technician, 'clean', {}, partAt(bench, 'plunger', 3));
	await append(shop.scope, technician, bench.job.id, [inspection]);
	expect(await changeOpened(shop.scope, bench.job.id, [1, 2])).toMatchObject({
		kind: 'partsRecorded',
		parts: [{ cylinder: 3 }]
	});
	expect(await cylindersOf(bench.job.id)).toEqual([0, 1, 2, 3]);
});

it('refuses cylinders that are none, no cylinder at all, a released job, and a job of another shop', async () => {
	const bench = await openJob(shop);
	expect(await changeOpened(shop.scope, bench.job.id, [4])).toEqual({ kind: 'wrongCylinder', cylinder: 4 });
	expect(await changeOpened(shop.scope, bench.job.id, [1, 1])).toEqual({ kind: 'wrongCylinder', cylinder: 1 });
	expect(await changeOpened(shop.scope, bench.job.id, [])).toEqual({ kind: 'noneOpen' });
	expect(await changeOpened(other.scope, bench.job.id, [1])).toEqual({ kind: 'unknownJob' });
	await append(shop.scope, shop.people.technician, bench.job.id, decideAll(bench, shop.people.technician, 'reuse'));
	expect(await releaseDespite(shop, bench.job.id)).toMatchObject({ kind: 'released' });
	expect(await changeOpened(shop.scope, bench.job.id, [1])).toEqual({ kind: 'released' });
});

it('two who change it at once leave one mat', async () => {
	const bench = await openJob(shop, { facts: { cylinders: [1] } });
	const both = await Promise.all(
		[
			[1, 2],
			[1, 3]
		].map((cylinders) => changeOpened(shop.scope, bench.job.id, cylinders))
	);
	expect(both.map(({ kind }) => kind)).toEqual(['changed', 'changed']);
	const open = await cylindersOf(bench.job.id);
	expect([
		[0, 1, 2],
		[0, 1, 3]
	]).toContainEqual(open);
});
