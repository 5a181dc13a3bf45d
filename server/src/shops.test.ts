import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { defaultPolicy } from '@exetasis/core/decide';
import { inTransaction } from './db/scope';
import { rows } from './db/sql/statement';
import { benchOf } from './jobs/bench';
import { append } from './benchLog/append';
import { lives as livesOf } from './db/sql/lives';
import { peopleOf, policyOf, setPolicy, shopOf } from './shops';
import { type TestShop, decideAll, entryOf, freshDatabase, releaseDespite, makeShop, openJob, partAt } from './testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let other: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	other = await makeShop(database.db, 'Skerry');
});
afterAll(() => database.drop());

describe('policy', () => {
	it('is ours until the shop sets its own, and then its own alone', async () => {
		expect(await policyOf(shop.scope)).toEqual(defaultPolicy);
		const own = { ...defaultPolicy, renewalPolicy: 'leastCost' as const, intervalHours: 1500 };
		await setPolicy(shop.scope, own);
		await setPolicy(shop.scope, { ...own, downtimeCost: 50 });
		expect(await policyOf(shop.scope)).toEqual({ ...own, downtimeCost: 50 });
		expect(await policyOf(other.scope)).toEqual(defaultPolicy);
	});
	it('kept before a custom was known is judged by the sheet there', async () => {
		const { valves: _, springs: __, metal: ___, ...older } = defaultPolicy;
		await rows(shop.scope, 'UPDATE policy SET settings = $2 WHERE shop_id = $1 RETURNING 1', [JSON.stringify(older)]);
		expect(await policyOf(shop.scope)).toEqual(defaultPolicy);
	});
	it('that is kept broken is not judged by', async () => {
		await rows(other.scope, 'INSERT INTO policy (shop_id, settings) VALUES ($1, $2) RETURNING 1', [
			JSON.stringify({ renewalPolicy: 'coin toss' })
		]);
		await expect(policyOf(other.scope)).rejects.toThrow();
	});
});

describe('a shop', () => {
	it('knows its own people only', async () => {
		expect(Object.values(await peopleOf(shop.scope)).sort()).toEqual([
			'lead of Harrow',
			'technician of Harrow',
			'viewer of Harrow'
		]);
		expect(await shopOf(other.scope)).toMatchObject({ name: 'Skerry', demo: false });
	});
	it('cannot point into another shop, whatever the code above forgets', async () => {
		const { job } = await openJob(shop);
		const site = '0197f000-0000-7000-8000-000000000abc';
		await rows(other.scope, 'INSERT INTO site (id, shop_id, name) VALUES ($2, $1, $3) RETURNING 1', [site, 'Theirs']);
		const move = rows(shop.scope, 'UPDATE pump SET site_id = $2 WHERE shop_id = $1 AND id = $3 RETURNING 1', [
			site,
			job.pumpId
		]);
		await expect(move).rejects.toMatchObject({ parent: { code: '23503' } });
	});
});

describe('a transaction', () => {
	it('leaves nothing behind where its work fails', async () => {
		const bench = await openJob(shop);
		const work = inTransaction(shop.scope, async (within) => {
			await rows(within, 'UPDATE job SET complaint = $2 WHERE shop_id = $1 AND id = $3 RETURNING 1', [
				'changed',
				bench.job.id
			]);
			throw new Error('and then it failed');
		});
		await expect(work).rejects.toThrow('and then it failed');
		expect((await benchOf(shop.scope, bench.job.id))!.job.complaint).toBe('water leak');
	});
});

describe('how a life ends', () => {
	it('is told apart: damaged in service, hurt while stripping, renewed although good', async () => {
		const user = shop.people.technician;
		await setPolicy(shop.scope, defaultPolicy);
		const bench = await openJob(shop);
		const [served, hurt] = [partAt(bench, 'maleAdapter', 1), partAt(bench, 'maleAdapter', 2)];
		const crushed = (part: string, onset: string) =>
			entryOf(bench, user, 'finding', { pattern: 'crushed', severity: 1, onset }, part);
		const rest = decideAll(bench, user, 'replace').filter(
			(entry) => !(entry.kind === 'clean' && [served, hurt].includes(entry.part))
		);
		await append(shop.scope, user, bench.job.id, [crushed(served, 'service'), crushed(hurt, 'handling'), ...rest]);
		expect(await releaseDespite(shop, bench.job.id)).toMatchObject({ kind: 'released', reused: 0 });
		const ended = (await livesOf(shop.scope, bench.job.pumpId)).filter(
			({ station, endReason }) => station === 'maleAdapter' && endReason
		);
		expect(ended.map(({ cylinder, endReason }) => [cylinder, endReason])).toEqual([
			[1, 'damaged'],
			[2, 'hurtAtStrip'],
			[3, 'renewedGood']
		]);
	});
});
