// Ages of what sits in a pump: unknown until something was fitted here, then counted from it; another shop's pump is none.
import { afterAll, beforeAll, expect, it } from 'vitest';
import { append } from './benchLog/append';
import { partAges } from './partAges';
import {
	arrival,
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	partAt,
	type TestShop
} from './testing';
import { receive } from './jobs/receive';

let shop: TestShop;
let other: TestShop;
let drop: () => Promise<void>;
beforeAll(async () => {
	const database = await freshDatabase();
	drop = () => database.drop();
	shop = await makeShop(database.db, 'Ages');
	other = await makeShop(database.db, 'Other ages');
});
afterAll(() => drop());

it('counts from the rebuild that fitted a part, cylinder by cylinder', async () => {
	const bench = await openJob(shop, { meterHours: 1000 });
	const { technician } = shop.people;
	const before = (await partAges(shop.scope, bench.job.pumpId))!;
	expect(before.map(({ cylinder }) => cylinder)).toEqual([0, 1, 2, 3]);
	expect(before.every(({ known, unknown, parts }) => known === undefined && unknown === parts)).toBe(true);
	await append(shop.scope, technician, bench.job.id, [
		...decideAll(bench, technician, 'reuse'),
		entryOf(
			bench,
			technician,
			'decision',
			{ verdict: 'replace', proposed: 'reuse', why: 'new' },
			partAt(bench, 'packing', 2)
		)
	]);
	expect(await releaseDespite(shop, bench.job.id)).toMatchObject({ kind: 'released', replaced: 1 });
	const again = { pump: { id: bench.job.pumpId }, meterHours: 2500 };
	expect(await receive(shop.scope, technician.id, arrival(again))).toMatchObject({ kind: 'received' });
	const ages = (await partAges(shop.scope, bench.job.pumpId))!;
	expect(ages.find(({ cylinder }) => cylinder === 2)).toMatchObject({ known: { least: 1500, most: 1500 } });
	expect(ages.find(({ cylinder }) => cylinder === 1)?.known).toBeUndefined();
});

it('says nothing of another shop’s pump', async () => {
	const bench = await openJob(shop);
	expect(await partAges(other.scope, bench.job.pumpId)).toBeUndefined();
});
