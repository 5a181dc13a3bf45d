// What keeps a pump shut or back: a scope that opens on evidence alone, and answers that hold a pump until they are put right.
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { append } from '../benchLog/append';
import { addSheet } from '../sheets';
import { arrival, decideAll, entryOf, freshDatabase, makeShop, openJob, type TestShop } from '../testing';
import { receive, type Arrival } from './receive';
import { release } from './release';

let shop: TestShop;
let drop: () => Promise<void>;
beforeAll(async () => {
	const database = await freshDatabase();
	drop = () => database.drop();
	shop = await makeShop(database.db, 'Evidence');
	for (const name of ['orache', 'bracken']) {
		const text = readFileSync(new URL(`../../../demo/sheets/${name}.json`, import.meta.url), 'utf8');
		expect(await addSheet(shop.scope, text)).toMatchObject({ kind: 'added' });
	}
});
afterAll(() => drop());

let count = 0;
const come = (change: Partial<Arrival>) =>
	receive(
		shop.scope,
		shop.people.technician.id,
		arrival({ pump: { serial: `O-${++count}`, model: 'Orache' }, scope: 'drive', ...change })
	);

it('a drive end stays shut without evidence of the sheet or a lead’s reason', async () => {
	expect(await come({})).toMatchObject({ kind: 'needsEvidence', evidence: expect.arrayContaining(['Milky oil']) });
	expect(await come({ facts: { evidence: { seen: 'It looked old' } } })).toMatchObject({ kind: 'needsEvidence' });
	expect(await come({ facts: { evidence: { reason: 'The owner wants it' } } })).toMatchObject({
		kind: 'needsEvidence'
	});
	expect(await come({ facts: { evidence: { seen: 'Milky oil' } } })).toMatchObject({ kind: 'received' });
	const byLead = { facts: { evidence: { reason: 'The owner wants it' } }, byLead: true };
	expect(await come(byLead)).toMatchObject({ kind: 'received' });
});

it('an answer that holds the pump keeps it from release until it is answered otherwise', async () => {
	const bench = await openJob(shop, { pump: { serial: 'B-1', model: 'Bracken' }, scope: 'packing' });
	const { technician, lead } = shop.people;
	const answer = (value: string) => entryOf(bench, technician, 'answer', { step: 'halfWay', ask: 0, value });
	const held = async () => {
		const released = await release(shop.scope, technician, bench.job.id);
		return released.kind === 'notTogether' ? released.left.tests.filter(({ what }) => what === 'held') : released.kind;
	};
	await append(shop.scope, technician, bench.job.id, [...decideAll(bench, technician, 'reuse'), answer('blocked')]);
	expect(await held()).toEqual([
		{ what: 'held', answer: 'The crossover opening: blocked', why: expect.stringContaining('clear it'), cylinder: 0 }
	]);
	await append(shop.scope, technician, bench.job.id, [answer('open')]);
	expect(await held()).toEqual([]);
	await append(shop.scope, technician, bench.job.id, [answer('blocked')]);
	expect(await release(shop.scope, lead, bench.job.id, { unbuilt: 'Goes to the maker' })).toMatchObject({
		kind: 'released'
	});
});

it('an answer is given where it is asked: at each cylinder, or once', async () => {
	const bench = await openJob(shop, {
		pump: { serial: 'O-A', model: 'Orache' },
		scope: 'drive',
		facts: { evidence: { seen: 'Milky oil' } }
	});
	const { technician } = shop.people;
	const ask = bench.sheet.steps
		.find(({ key }) => key === 'oilSealsOut')!
		.asks.findIndex(({ kind }) => kind === 'choice');
	const at = (cylinder: number | undefined, value = 'metal') =>
		entryOf(bench, technician, 'answer', { step: 'oilSealsOut', ask, value, ...(cylinder ? { cylinder } : {}) });
	const answers = await append(shop.scope, technician, bench.job.id, [at(2), at(undefined), at(9), at(1, 'gold')]);
	expect(answers!.map((answer) => (answer.result === 'refused' ? answer.problem.code : answer.result))).toEqual([
		'accepted',
		'notAnAnswer',
		'notAtCylinder',
		'notAnAnswer'
	]);
});
