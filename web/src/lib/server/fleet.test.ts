import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { append } from './benchLog';
import { rows } from './db/query';
import { benchOf, release, type Bench } from './jobs';
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
	it('counts what else ends lives since the look before, and renewed parts as still good', async () => {
		const user = shop.people.technician;
		const torn = (bench: Bench, cylinder: number) => {
			const part = partAt(bench, 'lowPressureSeal', cylinder);
			return entryOf(bench, user, 'finding', { pattern: 'lipTorn', severity: 2, onset: 'service' }, part);
		};
		const own = await makeShop(database.db, 'Ends');
		const work = async (pump: string | undefined, meterHours: number, damaged: number[]) => {
			const person = own.people.technician;
			const bench = await openJob(own, { meterHours, ...(pump ? { pump: { id: pump } } : {}) });
			const findings = damaged.map((cylinder) => ({ ...torn(bench, cylinder), by: person.id }));
			const seen = new Set(findings.map((entry) => ('part' in entry ? entry.part : undefined)));
			const rest = decideAll(bench, person, 'replace').filter(
				(entry) => entry.kind !== 'clean' || !seen.has(entry.part)
			);
			await append(own.scope, person, bench.job.id, [...findings, ...rest]);
			await release(own.scope, person.id, bench.job.id);
			return bench.job.pumpId;
		};
		const pump = await work(undefined, 1000, []);
		await work(pump, 2000, [1]);
		await work(pump, 3200, []);
		const { fleet } = await openJob(own, { pump: { id: pump }, meterHours: 3500 });
		// Six lives of known length, one of them torn between 0 and 1000 h; three new ones have not run yet.
		expect(fleet.ends.lowPressureSeal).toEqual({
			kind: 'constant',
			because: 'fewEvents',
			events: 1,
			lives: 6,
			hours: 500 + 2 * 1000 + 3 * 1200
		});
	});
	it('of one shop is not that of another', async () => {
		const other = await makeShop(database.db, 'Skerry');
		expect((await openJob(other)).fleet.wear['packing/insideDiameter']).toEqual({ kind: 'tooFew', parts: 0 });
	});
});
