import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { metric } from '@exetasis/core/quantity';
import { verify } from '@node-rs/argon2';
import { removeDemo } from '../db/sql/removeDemo';
import { decideAll, freshDatabase, makeShop as testShop, openJob } from '../testing';
import { append } from '../benchLog/append';
import { isHere, SetupCode } from './setupCode';
import { makeShop, shopsHere, type NewShop } from './shop';

let database: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => void (database = await freshDatabase()));
afterAll(() => database.drop());

const quay = (email: string, password = 'anvil harbour lichen forty'): NewShop => ({
	name: 'Quay Pumps',
	currency: 'EUR',
	units: metric,
	lead: { name: 'Ada Crane', email, password }
});

describe('a new shop', () => {
	it('has its lead, rules and no demo; an address is used once, also by two at the same time', async () => {
		const both = await Promise.all([
			makeShop(database.db, quay('Ada@quay.example')),
			makeShop(database.db, quay('ada@quay.example'))
		]);
		expect(both.map(({ kind }) => kind).sort()).toEqual(['made', 'mailTaken']);
		expect(await shopsHere(database.db)).toEqual({ own: 1, demo: false });
		const { models } = database.db;
		const lead = (await models.user.findOne({ where: { email: 'ada@quay.example' } }))!;
		expect(lead.get({ plain: true })).toMatchObject({ role: 'lead', active: true, firstPassword: false });
		const account = (await models.account.findOne({ where: { userId: lead.get('id') } }))!;
		expect(await verify(String(account.get('password')), 'anvil harbour lichen forty')).toBe(true);
		const made = both.find((shop) => shop.kind === 'made') as { shopId: string };
		expect(await models.policy.count({ where: { shopId: made.shopId } })).toBe(1);
	});
	it('takes no password that is easy to guess', async () => {
		expect(await makeShop(database.db, quay('bo@quay.example', 'quaypumps1'))).toEqual({ kind: 'guessedQuickly' });
		expect(await database.db.models.user.count({ where: { email: 'bo@quay.example' } })).toBe(0);
	});
});

describe('removing the demo', () => {
	it('leaves other shops and the protection of the log as they are', async () => {
		const demo = await testShop(database.db, 'Demo');
		await database.db.models.shop.update({ demo: true }, { where: { id: demo.scope.shopId } });
		const own = await testShop(database.db, 'Own');
		for (const shop of [demo, own]) {
			const bench = await openJob(shop);
			await append(shop.scope, shop.people.technician, bench.job.id, decideAll(bench, shop.people.technician, 'reuse'));
		}
		const count = async (shopId: string) =>
			(await database.db.models.logEntry.count({ where: { shopId } })) +
			(await database.db.models.job.count({ where: { shopId } }));
		const before = await count(own.scope.shopId);
		expect(await removeDemo(database.db)).toBe(1);
		expect(await count(demo.scope.shopId)).toBe(0);
		expect(await count(own.scope.shopId)).toBe(before);
		expect(await database.db.models.shop.count({ where: { demo: true } })).toBe(0);
		await expect(database.db.models.logEntry.destroy({ where: { shopId: own.scope.shopId } })).rejects.toThrow(
			/only ever added to/
		);
		expect(await removeDemo(database.db)).toBe(0);
	});
});

describe('who may set up a shop', () => {
	const asker = { address: '127.0.0.1', host: 'localhost:5180', passedOn: false };
	it.each([
		[true, {}],
		[true, { address: '::ffff:127.0.0.1', host: '127.0.0.1:80' }],
		[false, { address: '192.168.1.9' }],
		[false, { host: 'pumps.example' }],
		[false, { passedOn: true }],
		[false, { address: '127.0.0.1.example' }]
	])('%s for %o', (here, more) => expect(isHere({ ...asker, ...more })).toBe(here));

	it('or with the code, once, and with few wrong ones', () => {
		const code = new SetupCode('ABCD2345');
		expect(code.take('abcd2345 ')).toBe(true);
		expect(code.take('ABCD2345')).toBe(false);
		code.giveBack('abcd2345 ');
		expect(code.take('ABCD2345')).toBe(true);
		const guessed = new SetupCode('ABCD2345');
		for (let i = 0; i < 10; i++) expect(guessed.take(`WRONG${i}`)).toBe(false);
		expect(guessed.take('ABCD2345')).toBe(false);
		expect(new SetupCode(undefined).take('')).toBe(false);
		expect(new SetupCode('').take('')).toBe(false);
	});
});
