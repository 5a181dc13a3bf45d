import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { changePerson, invite, staffOf } from './people';
import { earlierPlaces, movePump, pumpById } from './pumps';
import { keepSite, sitesWithPumps } from './shops';
import { freshDatabase, makeShop, openJob, type TestShop } from './testing';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let other: TestShop;
beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	other = await makeShop(database.db, 'Skerry');
	process.env.DATABASE_URL = database.url; // sessions are the process's own
});
afterAll(async () => {
	await (await import('./db/connection')).closeDatabase();
	await database.drop();
});

describe('people', () => {
	it('are invited with a password that is told once, and one address is one person', async () => {
		const asked = { name: 'Ebba Lind', email: 'Ebba@Harrow.example', role: 'technician' as const };
		const first = await invite(shop.scope, asked);
		expect(first).toMatchObject({ kind: 'invited', password: expect.stringMatching(/^[\w-]{12}$/) as string });
		expect(await invite(other.scope, { ...asked, email: 'ebba@harrow.example' })).toEqual({ kind: 'mailTaken' });
		expect(await staffOf(shop.scope)).toContainEqual(
			expect.objectContaining({ name: 'Ebba Lind', email: 'ebba@harrow.example', active: true })
		);
	});
	it('get another name and role from a lead, who keeps their own role', async () => {
		const { lead, viewer } = shop.people;
		expect(await changePerson(shop.scope, lead.id, viewer.id, { name: 'Bo B', role: 'technician' })).toBe('done');
		expect(await changePerson(shop.scope, lead.id, lead.id, { name: 'Mara', role: 'viewer' })).toBe('yourself');
		expect(await changePerson(shop.scope, lead.id, lead.id, { name: 'Mara', role: 'lead' })).toBe('done');
		expect(await changePerson(other.scope, lead.id, viewer.id, { name: 'X', role: 'lead' })).toBe('unknownPerson');
	});
});

describe('sites', () => {
	it('have one name each, and count their pumps', async () => {
		expect(await keepSite(shop.scope, 'Quay')).toBe('kept');
		expect(await keepSite(shop.scope, 'Quay')).toBe('nameTaken');
		expect(await keepSite(other.scope, 'Quay')).toBe('kept');
		const [{ id }] = await sitesWithPumps(shop.scope);
		expect(await keepSite(shop.scope, 'Long quay', id)).toBe('kept');
		expect(await keepSite(other.scope, 'Mine now', id)).toBe('unknownSite');
		expect(await sitesWithPumps(shop.scope)).toEqual([{ id, name: 'Long quay', pumps: 0 }]);
	});
	it('a pump that moves leaves where it ran on record, also when two move it at once', async () => {
		const bench = await openJob(shop);
		const { pumpId } = bench.job;
		const { technician } = shop.people;
		const [{ id: siteId }] = await sitesWithPumps(shop.scope);
		const to = { siteId, tag: 'Wash' };
		const results = await Promise.all([1, 2, 3].map(() => movePump(shop.scope, technician.id, pumpId, to)));
		expect(results.toSorted()).toEqual(['moved', 'samePlace', 'samePlace']);
		expect(await earlierPlaces(shop.scope, pumpId)).toMatchObject([{ site: null, tag: null }]);
		expect(await pumpById(shop.scope, pumpId)).toMatchObject({ site: 'Long quay', tag: 'Wash' });
		const theirs = (await sitesWithPumps(other.scope))[0].id;
		expect(await movePump(shop.scope, technician.id, pumpId, { siteId: theirs, tag: null })).toBe('unknownSite');
		expect(await movePump(other.scope, technician.id, pumpId, to)).toBe('unknownPump');
	});
});
