import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { append } from './benchLog/append';
import { rows } from './db/sql/statement';
import { refit } from './fleet';
import { benchOf } from './jobs/bench';
import { type Arrival } from './jobs/receive';
import { type TestShop, decideAll, entryOf, freshDatabase, releaseDespite, makeShop, openJob, partAt } from './testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
});
afterAll(() => database.drop());

/** A job just received, as the bench sees it once the fleet's record is fitted. */
async function openFitted(own: TestShop, change: Partial<Arrival>) {
	const { job, sheet } = await openJob(own, change);
	await refit(own.scope, sheet.model);
	return (await benchOf(own.scope, job.id))!;
}

/** One more rebuild of a pump: its packings are read at this lip diameter, then all is renewed. */
async function rebuild(pump: string | undefined, meterHours: number, lip: number, own = shop) {
	const user = own.people.technician;
	const bench = await openJob(own, { meterHours, ...(pump ? { pump: { id: pump } } : {}) });
	const readings = [1, 2, 3].map((cylinder) => {
		const value = lip + cylinder * 0.004;
		const payload = {
			characteristic: 'insideDiameter',
			row: 0,
			column: 0,
			value,
			typed: { text: String(value), unit: 'mm' }
		};
		return entryOf(bench, user, 'reading', payload, partAt(bench, 'packing', cylinder));
	});
	await append(own.scope, user, bench.job.id, [...readings, ...decideAll(bench, user, 'replace')]);
	expect(await releaseDespite(own, bench.job.id)).toMatchObject({ kind: 'released' });
	return bench.job.pumpId;
}

describe('what the fleet says', () => {
	it('moves with the record, also by parts of unknown age, and is fitted once', async () => {
		const pump = await rebuild(undefined, 1000, 17.7);
		await rebuild(pump, 2000, 17.72);
		const early = await openFitted(shop, { pump: { id: pump }, meterHours: 2500 });
		const before = early.fleet.wear['packing/insideDiameter'];
		expect(before.parts).toBe(6);
		await append(shop.scope, shop.people.technician, early.job.id, decideAll(early, shop.people.technician, 'replace'));
		await releaseDespite(shop, early.job.id);
		await rebuild(pump, 3500, 17.71);
		await rebuild(pump, 4600, 17.74);
		const later = await openFitted(shop, { pump: { id: pump }, meterHours: 5000 });
		const after = later.fleet.wear['packing/insideDiameter'];
		expect(after.parts).toBeGreaterThan(before.parts);
		expect(after.lives).toBeGreaterThan(before.lives);
		const fits = () => rows(shop.scope, 'SELECT 1 FROM fleet_fit WHERE shop_id = $1');
		const count = (await fits()).length;
		await benchOf(shop.scope, later.job.id);
		expect(await fits()).toHaveLength(count);
	});
	it('leaves out and names a size that wear cannot have made', async () => {
		const own = await makeShop(database.db, 'Slip');
		const rebuildAt = (meterHours: number, lip: number, pump?: string) => rebuild(pump, meterHours, lip, own);
		const pump = await rebuildAt(1000, 17.7);
		await rebuildAt(2000, 22, pump);
		const { setAside, fleet } = await openFitted(own, { pump: { id: pump }, meterHours: 2500 });
		expect(fleet.wear['packing/insideDiameter'].parts).toBe(3);
		expect(setAside).toHaveLength(3);
		expect(setAside[0]).toMatchObject({ pump, station: 'packing', characteristic: 'insideDiameter', pumpHours: 2000 });
		expect(setAside[0].serial).not.toBe('');
	});
	it('knows the age of what was fitted here, and of other parts only how old they may be', async () => {
		const own = await makeShop(database.db, 'Ages');
		const first = await openJob(own, { meterHours: 1000 });
		expect(first.cells[0].age).toEqual({ kind: 'unknown', seenFor: 0, atMost: 1000 });
		await append(own.scope, own.people.technician, first.job.id, decideAll(first, own.people.technician, 'replace'));
		await releaseDespite(own, first.job.id);
		const second = await openJob(own, { pump: { id: first.job.pumpId }, meterHours: 2500 });
		expect(second.cells[0].age).toEqual({ kind: 'known', hours: 1500 });
	});
	it('counts what else ends lives since the inspection before', async () => {
		const own = await makeShop(database.db, 'Ends');
		const person = own.people.technician;
		const work = async (pump: string | undefined, meterHours: number, damaged: number[]) => {
			const bench = await openJob(own, { meterHours, ...(pump ? { pump: { id: pump } } : {}) });
			const torn = damaged.map((cylinder) =>
				entryOf(
					bench,
					person,
					'finding',
					{ pattern: 'lipTorn', severity: 2, onset: 'service' },
					partAt(bench, 'lowPressureSeal', cylinder)
				)
			);
			const seen = new Set(torn.map((entry) => ('part' in entry ? entry.part : undefined)));
			const rest = decideAll(bench, person, 'replace').filter(
				(entry) => entry.kind !== 'clean' || !seen.has(entry.part)
			);
			await append(own.scope, person, bench.job.id, [...torn, ...rest]);
			await releaseDespite(own, bench.job.id);
			return bench.job.pumpId;
		};
		const pump = await work(undefined, 1000, []);
		await work(pump, 2000, [1]);
		const { fleet } = await openFitted(own, { pump: { id: pump }, meterHours: 3500 });
		expect(fleet.ends.lowPressureSeal.events).toBe(1);
	});
	it('of one shop is not that of another', async () => {
		const other = await makeShop(database.db, 'Skerry');
		expect((await openJob(other)).fleet.wear['packing/insideDiameter']).toBeUndefined();
	});
});
