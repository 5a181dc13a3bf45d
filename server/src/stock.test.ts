// The shop's drawers and what a job orders, against PostgreSQL.
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { coverWith } from '@exetasis/core/order';
import { append } from './benchLog/append';
import type { Database } from './db/connection';
import { orderOf } from './jobs/order';
import { release } from './jobs/release';
import { keepShims, keepStock, shimsOf, stockOf, takeFromStock } from './stock';
import {
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	MODEL,
	openJob,
	partAt,
	type TestShop
} from './testing';

let db: Database;
let shop: TestShop;
let drop: () => Promise<void>;
beforeAll(async () => {
	({ db, drop } = await freshDatabase());
	shop = await makeShop(db, 'Stock');
});
afterAll(() => drop());

async function renewed() {
	const bench = await openJob(shop);
	await append(shop.scope, shop.people.technician, bench.job.id, decideAll(bench, shop.people.technician, 'replace'));
	return bench;
}
const take = (job: string, station: string, pieces: number) =>
	takeFromStock(shop.scope, shop.people.technician, job, { station, pieces });

describe('the drawer', () => {
	it('gives the last piece to one of two who reach for it at once', async () => {
		const [one, two] = [await renewed(), await renewed()];
		await keepStock(shop.scope, MODEL, { station: 'plunger', pieces: 3, floor: 0 });
		const taken = await Promise.all([one, two].map(({ job }) => take(job.id, 'plunger', 3)));
		expect(taken.map(({ kind }) => kind).sort()).toEqual(['taken', 'tooFew']);
		expect(taken).toContainEqual({ kind: 'tooFew', left: 0 });
		expect(await stockOf(shop.scope, MODEL)).toContainEqual({ station: 'plunger', pieces: 0, floor: 0 });
	});
	it('is another for every shop', async () => {
		const other = await makeShop(db, 'Elsewhere');
		const { job } = await renewed();
		await keepStock(shop.scope, MODEL, { station: 'collar', pieces: 5, floor: 0 });
		expect(await stockOf(other.scope, MODEL)).toEqual([]);
		const asked = { station: 'collar', pieces: 1 };
		expect(await takeFromStock(other.scope, other.people.lead, job.id, asked)).toEqual({ kind: 'unknownJob' });
	});
	it('gives nothing that the job has no use for, or to a job that is gone', async () => {
		const { job } = await renewed();
		await keepStock(shop.scope, MODEL, { station: 'inletValve', pieces: 5, floor: 0 }); // a packing job opens no valve
		expect(await take(job.id, 'inletValve', 1)).toEqual({ kind: 'refused', code: 'unknownStation' });
		await releaseDespite(shop, job.id);
		await keepStock(shop.scope, MODEL, { station: 'wick', pieces: 5, floor: 0 });
		expect(await take(job.id, 'wick', 1)).toEqual({ kind: 'refused', code: 'released' });
		expect(await stockOf(shop.scope, MODEL)).toContainEqual({ station: 'wick', pieces: 5, floor: 0 });
	});
});

describe('the order of a job', () => {
	it('asks for what goes, less what is here and what lies there to be taken', async () => {
		const { job } = await renewed();
		await keepStock(shop.scope, MODEL, { station: 'sealCase', pieces: 4, floor: 2 });
		const order = (await orderOf(shop.scope, job.id))!;
		const pieces = (station: string) => order.problem.needs.find((need) => need.station === station)?.pieces;
		expect([pieces('packing'), pieces('sealCase'), pieces('packingBore')]).toEqual([6, 3, undefined]);
		const cover = coverWith(order.problem, order.cheapest!);
		expect(cover.buy).toContainEqual({ number: 'MAR-P', count: 1 });
		expect(cover.missing).toEqual([]);
		expect(cover.fromStock).toContainEqual({ station: 'sealCase', pieces: 2 }); // two stay in the drawer
		await take(job.id, 'sealCase', 2);
		const after = (await orderOf(shop.scope, job.id))!;
		expect(after.problem.needs.find(({ station }) => station === 'sealCase')?.pieces).toBe(1);
	});
	it('works the rest out again around counts chosen by hand: a kit replaces the single parts that it holds', async () => {
		const { job } = await renewed();
		const cheapest = (await orderOf(shop.scope, job.id))!;
		const price = (order: typeof cheapest) => coverWith(order.problem, order.bought).price;
		const without = (await orderOf(shop.scope, job.id, { chosen: { 'MAR-P': 0 } }))!;
		expect(without.bought['MAR-P']).toBe(0);
		expect(coverWith(without.problem, without.bought).missing).toEqual([]);
		expect(price(without)).toBeGreaterThan(price(cheapest));
		// The kit again, by hand: what it holds is not bought besides.
		const again = (await orderOf(shop.scope, job.id, { chosen: { 'MAR-P': 1 } }))!;
		expect(price(again)).toBeCloseTo(price(cheapest), 6);
		expect((await orderOf(shop.scope, job.id, { chosen: { 'of-another-shop': 3 } }))!.chosen).toEqual({});
	});
	it('gives new parts the lot and supplier of their bag', async () => {
		const { technician } = shop.people;
		const bench = await renewed();
		const payload = { station: 'packing', pieces: 6, from: 'bought', lot: 'L-77', supplier: 'Dockside seals' };
		await append(shop.scope, technician, bench.job.id, [entryOf(bench, technician, 'arrived', payload)]);
		expect(await release(shop.scope, shop.people.lead, bench.job.id, { unbuilt: 'a test' })).toMatchObject({
			kind: 'released'
		});
		const old = partAt(bench, 'packing', 2);
		const lots = await db.sequelize.query<{ lot: string; supplier: string }>(
			`SELECT p.lot, p.supplier FROM part_life l JOIN part p ON p.id = l.part_id
				WHERE l.fitted_job_id = $1 AND l.station = 'packing' AND l.cylinder = 2 AND l.part_id <> $2`,
			{ bind: [bench.job.id, old], type: 'SELECT' as never }
		);
		expect(lots).toEqual([{ lot: 'L-77', supplier: 'Dockside seals' }]);
	});
	it('is nothing of another shop’s', async () => {
		const other = await makeShop(db, 'Third');
		const { job } = await renewed();
		expect(await orderOf(other.scope, job.id)).toBeUndefined();
	});
});

describe('the drawer of shims', () => {
	const of = (...thicknesses: number[]) => thicknesses.map((thicknessMm) => ({ thicknessMm, count: 4 }));
	it('holds what was last said, in its own shop alone', async () => {
		expect(await shimsOf(shop.scope)).toEqual([]);
		await keepShims(shop.scope, of(0.5, 0.1));
		await keepShims(shop.scope, [{ thicknessMm: 0.1, count: 2 }, ...of(0.05)]);
		expect(await shimsOf(shop.scope)).toEqual([
			{ thicknessMm: 0.05, count: 4 },
			{ thicknessMm: 0.1, count: 2 }
		]);
		expect(await shimsOf((await makeShop(db, 'Fourth')).scope)).toEqual([]);
		await keepShims(shop.scope, []);
		expect(await shimsOf(shop.scope)).toEqual([]);
	});
	it('takes the word of two at once', async () => {
		await Promise.all([keepShims(shop.scope, of(0.1, 0.2)), keepShims(shop.scope, of(0.1, 0.2))]);
		expect(await shimsOf(shop.scope)).toEqual(of(0.1, 0.2));
	});
});
