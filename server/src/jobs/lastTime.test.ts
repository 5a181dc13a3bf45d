// What was measured at the steps of a pump's last rebuild, and what was noted: shown where the same is asked again.
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { toBase } from '@exetasis/core/quantity';
import { append } from '../benchLog/append';
import type { Database } from '../db/connection';
import { addSheet } from '../sheets';
import {
	decideAll,
	entryOf,
	freshDatabase,
	releaseDespite,
	makeShop,
	openJob,
	receiveJob,
	type TestShop
} from '../testing';
import { lastTimeOf } from './lastTime';

let db: Database;
let drop: () => Promise<void>;
let shop: TestShop;
let other: TestShop;

beforeAll(async () => {
	({ db, drop } = await freshDatabase());
	shop = await makeShop(db, 'Harrow');
	other = await makeShop(db, 'Skerry');
	await addSheet(shop.scope, readFileSync(new URL('../../../demo/sheets/orache.json', import.meta.url), 'utf8'));
});
afterAll(() => drop());

it('is that of the last released rebuild of the same pump, in the same shop', async () => {
	const pump = { serial: 'O-1', model: 'Orache' };
	const facts = {
		complaints: [],
		workplace: 'bench' as const,
		tools: {},
		evidence: { reason: 'A lead wants it opened' }
	};
	const first = await openJob(shop, { pump, scope: 'drive', facts, byLead: true });
	expect(await lastTimeOf(shop.scope, first.job)).toBeUndefined();
	const note = entryOf(first, shop.people.technician, 'note', { text: 'Shims: 0.10 mm.' });
	await append(shop.scope, shop.people.technician, first.job.id, [
		note,
		...decideAll(first, shop.people.technician, 'replace')
	]);
	const again = { pump: { id: first.job.pumpId }, scope: 'drive', meterHours: 2000, facts, byLead: true };
	expect((await releaseDespite(shop, first.job.id)).kind).toBe('released');
	const second = await receiveJob(shop, again);
	const last = (await lastTimeOf(shop.scope, second.job))!;
	expect(last.receivedAt).toEqual(first.job.receivedAt);
	expect(last.readings.map(({ question }) => question)).toEqual(
		expect.arrayContaining(['Oil drained, by jug', 'Play of the shaft in its bearings, by dial indicator'])
	);
	expect(last.readings.find(({ question }) => question.startsWith('Oil'))?.value).toEqual({
		readings: [{ value: toBase(0.5, 'L'), typed: { text: '0.5', unit: 'L' } }]
	});
	expect(last.notes).toEqual(['Shims: 0.10 mm.']);
	expect(await lastTimeOf(other.scope, second.job)).toBeUndefined();
});
