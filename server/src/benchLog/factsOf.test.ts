import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { append } from './append';
import type { ShopScope } from '../db/scope';
import { decideAll, entryOf, freshDatabase, makeShop, openJob, partAt, receiveJob, type TestShop } from '../testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
});
afterAll(() => database.drop());

const resultsOf = async (scope: ShopScope, jobId: string, entries: object[]) =>
	(await append(scope, shop.people.technician, jobId, entries))!.map((answer) =>
		answer.result === 'refused' ? answer.problem.code : answer.result
	);

describe('the log that entries are checked against', () => {
	it('grows with what other writers have added', async () => {
		const bench = await receiveJob(shop);
		const sign = (step: string) => entryOf(bench, shop.people.technician, 'step', { step });
		const [first, second] = bench.sheet.steps.filter(({ blocking }) => blocking);
		const send = (...entries: object[]) => resultsOf(shop.scope, bench.job.id, entries);
		const note = entryOf(bench, shop.people.technician, 'note', { text: 'begun' });
		expect(await send(note, sign(second.key))).toEqual(['accepted', 'stepTooEarly']);
		expect(first.asks).toEqual([]);
		expect(await send(sign(first.key))).toEqual(['accepted']);
		expect(await send(sign(second.key))).not.toEqual(['stepTooEarly']);
	});

	it('holds an entry of a lower number that another writer has finished later', async () => {
		const bench = await receiveJob(shop);
		const entry = (kind: 'step' | 'note', payload: object) => entryOf(bench, shop.people.technician, kind, payload);
		const [first, second] = bench.sheet.steps.filter(({ blocking }) => blocking);
		const transaction = await shop.scope.db.sequelize.transaction();
		const slow = { ...shop.scope, transaction };
		expect(await resultsOf(slow, bench.job.id, [entry('step', { step: first.key })])).toEqual(['accepted']);
		for (const text of ['one', 'two'])
			expect(await resultsOf(shop.scope, bench.job.id, [entry('note', { text })])).toEqual(['accepted']);
		await transaction.commit();
		expect(await resultsOf(shop.scope, bench.job.id, [entry('step', { step: second.key })])).not.toEqual([
			'stepTooEarly'
		]);
	});

	it('answers what it has already as there, though it would be refused now', async () => {
		const bench = await openJob(shop);
		const { technician } = shop.people;
		const send = (...entries: object[]) => resultsOf(shop.scope, bench.job.id, entries);
		await send(...decideAll(bench, technician, 'reuse'));
		for (const station of ['retainerGasket', 'retainerORing', 'retainerBackup', 'plunger', 'plungerRetainer'])
			expect(await send(entryOf(bench, technician, 'putIn', { piece: 'same' }, partAt(bench, station, 1)))).toEqual([
				'accepted'
			]);
		const bolt = entryOf(bench, technician, 'tightened', { pass: 0, bolt: 0 }, partAt(bench, 'plungerRetainer', 1));
		expect(await send(bolt)).toEqual(['accepted']);
		expect(await send(bolt)).toEqual(['duplicate']);
		expect(await send({ ...bolt, id: bolt.id.replace(/.$/, (last) => (last === '0' ? '1' : '0')) })).toEqual([
			'boltTwice'
		]);
	});
});
