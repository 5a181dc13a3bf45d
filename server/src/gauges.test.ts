import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { append } from './benchLog/append';
import {
	addCertificate,
	addGauge,
	addGauges,
	changeGauge,
	gaugeById,
	gaugesOf,
	retireGauge,
	type Certificate,
	type GaugeFacts
} from './gauges';
import { benchOf } from './jobs/bench';
import { entryOf, freshDatabase, makeShop, openJob, partAt, type TestShop } from './testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let other: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	other = await makeShop(database.db, 'Skerry');
});
afterAll(() => database.drop());

const facts = (name: string): GaugeFacts => ({
	name,
	kind: 'micrometer',
	resolution: 0.001,
	repeatability: 0.001,
	repeatabilityDof: 9,
	reproducibility: 0,
	expansionPerKelvin: 11.5e-6
});
const certificate: Certificate = {
	calibratedOn: '2026-01-10',
	dueOn: '2030-01-10',
	expandedU: 0.002,
	k: 2,
	certificate: 'C-1'
};
const added = async (name: string): Promise<string> => {
	const result = await addGauge(shop.scope, facts(name), certificate);
	if (result.kind !== 'kept') throw new Error(result.kind);
	return result.id;
};
const listed = async (id: string) => (await gaugesOf(shop.scope)).find((gauge) => gauge.id === id);

describe('gauges', () => {
	it('are taken in with their certificate, once a name, in their own shop alone', async () => {
		const id = await added('M-once');
		expect(await listed(id)).toMatchObject({ name: 'M-once', facts: { calibrationU: 0.002, overdue: false } });
		expect(await addGauge(shop.scope, facts('M-once'), certificate)).toEqual({ kind: 'nameTaken' });
		expect(await addGauge(other.scope, facts('M-once'), certificate)).toMatchObject({ kind: 'kept' });
		expect(await gaugeById(other.scope, id)).toBeUndefined();
	});
	it('two at once with one name: one is kept', async () => {
		const results = await Promise.all(
			Array.from({ length: 4 }, () => addGauge(shop.scope, facts('M-race'), certificate))
		);
		expect(results.filter(({ kind }) => kind === 'kept')).toHaveLength(1);
	});
	it('are put right, and not to a name that is taken', async () => {
		const [one, two] = [await added('M-one'), await added('M-two')];
		expect(await changeGauge(shop.scope, one, { ...facts('M-one'), resolution: 0.002 })).toEqual({
			kind: 'kept',
			id: one
		});
		expect((await listed(one))?.facts.resolution).toBe(0.002);
		expect(await changeGauge(shop.scope, two, facts('M-one'))).toEqual({ kind: 'nameTaken' });
		expect(await changeGauge(other.scope, one, facts('M-other'))).toEqual({ kind: 'unknownGauge' });
	});
	it('count by their newest certificate, whenever it was filed', async () => {
		const id = await added('M-cert');
		await addCertificate(shop.scope, id, { ...certificate, calibratedOn: '2026-06-01', expandedU: 0.003 });
		await addCertificate(shop.scope, id, { ...certificate, calibratedOn: '2025-06-01', expandedU: 0.009 });
		expect((await listed(id))?.facts.calibrationU).toBe(0.003);
		expect((await gaugeById(shop.scope, id))?.certificates).toHaveLength(3);
		expect(await addCertificate(other.scope, id, certificate)).toEqual({ kind: 'unknownGauge' });
	});
	it('that are used no more still stand behind what they have read', async () => {
		const id = await added('M-retired');
		const bench = await openJob(shop);
		const { technician } = shop.people;
		const reading = entryOf(bench, technician, 'reading', {
			characteristic: 'diameter',
			row: 0,
			column: 0,
			value: 17.99,
			typed: { text: '17.99', unit: 'mm' },
			gauge: id
		});
		const answers = await append(shop.scope, technician, bench.job.id, [
			{ ...(reading as object), part: partAt(bench, 'plunger', 1) }
		]);
		expect(answers).toMatchObject([{ result: 'accepted' }]);
		await retireGauge(shop.scope, id, true);
		const gauge = (await benchOf(shop.scope, bench.job.id))!.gauges.find((shopGauge) => shopGauge.id === id);
		expect(gauge).toMatchObject({ retired: true, facts: { calibrationU: 0.002 } });
		expect((await gaugeById(shop.scope, id))?.uses).toMatchObject([{ job: bench.job.id, readings: 1 }]);
		await retireGauge(shop.scope, id, false);
		expect((await listed(id))?.retired).toBeUndefined();
	});
	it('a list leaves those that are known as they are', async () => {
		await added('M-known');
		const known = await addGauges(
			shop.scope,
			['M-known', 'M-fresh'].map((name) => ({ facts: { ...facts(name), resolution: 0.01 }, certificate }))
		);
		expect(known).toEqual(['M-known']);
		const all = await gaugesOf(shop.scope);
		expect(all.find(({ name }) => name === 'M-known')?.facts.resolution).toBe(0.001);
		expect(all.find(({ name }) => name === 'M-fresh')?.facts.resolution).toBe(0.01);
	});
});
