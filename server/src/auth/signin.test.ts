import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Database } from '../db/connection';
import { changePassword, invite, resetPassword, setActive } from '../people';
import { purgeSignIn } from './purge';
import { freshDatabase, makeShop, PASSWORD, type TestShop } from '../testing';

const STRONG = 'plover ladle quarry mast';
let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let auth: typeof import('../auth/auth');
let email: string;

beforeAll(async () => {
	database = await freshDatabase();
	shop = await makeShop(database.db, 'Harrow');
	// The sign-in library takes the process's own database: this file's process has it point here.
	process.env.DATABASE_URL = database.url;
	auth = await import('../auth/auth');
	email = ((await database.db.models.user.findByPk(shop.people.technician.id)) as unknown as { email: string }).email;
});
afterAll(async () => {
	await (await import('../db/connection')).closeDatabase();
	await database.drop();
});

const cookiesOf = (headers: Headers) =>
	new Headers({
		cookie: headers
			.getSetCookie()
			.map((cookie) => cookie.split(';')[0])
			.join('; ')
	});
const attempt = (password: string, address = '198.51.100.1', before?: Headers) =>
	auth.signIn({ email, password }, address, before);
async function signedIn(...how: Parameters<typeof attempt>): Promise<Headers> {
	const result = await attempt(...how);
	if (result.kind !== 'signedIn') throw new Error(result.kind);
	return cookiesOf(result.headers);
}
const rowsOf = async (db: Database, table: 'session' | 'rateLimit') => db.models[table].count();

describe('sign-in', () => {
	it('lets the right person in, with shop and role from the database, and out again', async () => {
		const result = await attempt(PASSWORD);
		if (result.kind !== 'signedIn') throw new Error(result.kind);
		const cookies = cookiesOf(result.headers);
		expect(await auth.whoIs(cookies)).toMatchObject({
			id: shop.people.technician.id,
			role: 'technician',
			shopId: shop.scope.shopId
		});
		expect(await rowsOf(database.db, 'session')).toBe(1);
		await auth.signOut(cookies);
		expect(await auth.whoIs(cookies)).toBeUndefined();
		expect(await rowsOf(database.db, 'session')).toBe(0);
	});
	it('sets its cookie out of scripts’ and other sites’ reach', async () => {
		const result = await attempt(PASSWORD);
		if (result.kind !== 'signedIn') throw new Error(result.kind);
		expect(result.headers.getSetCookie().join()).toMatch(/HttpOnly/i);
		expect(result.headers.getSetCookie().join()).toMatch(/SameSite=Lax/i);
	});
	it('refuses a wrong password and someone unknown alike', async () => {
		expect(await attempt('wrong')).toEqual({ kind: 'refused' });
		expect(await auth.signIn({ email: 'nobody@harrow.example', password: PASSWORD }, '198.51.100.1')).toEqual({
			kind: 'refused'
		});
	});
	it('knows no one by a made-up cookie', async () =>
		expect(await auth.whoIs(new Headers({ cookie: 'exetasis.session_token=made.up' }))).toBeUndefined());
	it('is not believed of a right token with another signature, nor of one that is cut off', async () => {
		const cookies = await signedIn(PASSWORD);
		const cookie = cookies.get('cookie')!;
		expect(await auth.whoIs(cookies)).toBeDefined();
		const [name, value] = cookie.split('=', 2);
		const token = decodeURIComponent(value).split('.')[0];
		for (const forged of [token, `${token}.`, `${token}.${'A'.repeat(43)}%3D`, '%', '%E0%A4%A'])
			expect(await auth.whoIs(new Headers({ cookie: `${name}=${forged}` })), forged).toBeUndefined();
	});
	it('is renewed once a day while it is used, and is over when it has expired', async () => {
		const cookies = await signedIn(PASSWORD);
		const where = { userId: shop.people.technician.id };
		const { session } = database.db.models;
		const inDays = (days: number) => new Date(Date.now() + days * 24 * 60 * 60 * 1000);
		const expires = async () =>
			((await session.findOne({ where, order: [['createdAt', 'DESC']] })) as never)['expiresAt'];
		await session.update({ expiresAt: inDays(6.5) }, { where });
		const before = await expires();
		expect(await auth.whoIs(cookies)).toBeDefined();
		expect(await expires()).toEqual(before);
		await session.update({ expiresAt: inDays(2) }, { where });
		expect(await auth.whoIs(cookies)).toBeDefined();
		expect(new Date(await expires()).getTime()).toBeGreaterThan(inDays(6.9).getTime());
		await session.update({ expiresAt: inDays(-0.01) }, { where });
		expect(await auth.whoIs(cookies)).toBeUndefined();
	});
	it('over a session ends the old one', async () => {
		const old = await signedIn(PASSWORD);
		const fresh = await signedIn(PASSWORD, undefined, old);
		expect(await auth.whoIs(old)).toBeUndefined();
		expect(await auth.whoIs(fresh)).toBeDefined();
	});
	it('is slowed down for an account that is guessed at from one address: not for others there, nor for it elsewhere', async () => {
		const results = [];
		for (let i = 0; i < 22; i++) results.push((await attempt('guess', '203.0.113.7')).kind);
		expect(results.at(-1)).toBe('tooMany');
		expect(await rowsOf(database.db, 'rateLimit')).toBeGreaterThan(0);
		expect((await attempt(PASSWORD, '198.51.100.2')).kind).toBe('signedIn');
		const colleague = (await database.db.models.user.findByPk(shop.people.lead.id))!.get('email') as string;
		const there = await auth.signIn({ email: colleague, password: PASSWORD }, '203.0.113.7');
		expect(there.kind).toBe('signedIn');
	});
	it('ends with the account: taken away, all its sessions are over, and none begins', async () => {
		const cookies = await signedIn(PASSWORD);
		const { lead, technician } = shop.people;
		expect(await setActive(shop.scope, lead.id, lead.id, false)).toBe('yourself');
		expect(await setActive(shop.scope, lead.id, technician.id, false)).toBe('done');
		expect(await auth.whoIs(cookies)).toBeUndefined();
		expect((await attempt(PASSWORD)).kind).toBe('refused');
		expect(await database.db.models.session.count({ where: { userId: technician.id } })).toBe(0);
		expect(await setActive(shop.scope, lead.id, technician.id, true)).toBe('done');
		expect((await attempt(PASSWORD)).kind).toBe('signedIn');
	});
	it('everywhere ends where the password changes', async () => {
		const cookies = [await signedIn(PASSWORD), await signedIn(PASSWORD, '198.51.100.3')];
		const { id } = shop.people.technician;
		expect(await changePassword(shop.scope, id, 'wrong', STRONG)).toBe('wrongPassword');
		expect(await auth.whoIs(cookies[0])).toBeDefined();
		expect(await changePassword(shop.scope, id, PASSWORD, STRONG)).toBe('changed');
		for (const cookie of cookies) expect(await auth.whoIs(cookie)).toBeUndefined();
		expect((await attempt(PASSWORD, '198.51.100.4')).kind).toBe('refused');
		expect((await attempt(STRONG, '198.51.100.4')).kind).toBe('signedIn');
		const back = { password: await auth.hashPassword(PASSWORD) };
		await database.db.models.account.update(back, { where: { userId: id } });
		const guesses = [];
		for (let i = 0; i < 12; i++) guesses.push(await changePassword(shop.scope, id, 'guess', `${STRONG} ${i}`));
		expect([guesses[0], guesses.at(-1)]).toEqual(['wrongPassword', 'tooMany']);
	});
	it('with a first password says so until it is changed; a lost one is given again from the server', async () => {
		const asked = { name: 'Tova Brandt', email: 'tova@harrow.example', role: 'lead' as const };
		const invited = await invite(shop.scope, asked);
		if (invited.kind !== 'invited') throw new Error(invited.kind);
		const cookiesOf = async (password: string) => {
			const result = await auth.signIn({ email: asked.email, password }, '198.51.100.7');
			if (result.kind !== 'signedIn') throw new Error(result.kind);
			return new Headers({
				cookie: result.headers
					.getSetCookie()
					.map((cookie) => cookie.split(';')[0])
					.join('; ')
			});
		};
		const first = await auth.whoIs(await cookiesOf(invited.password));
		expect(first?.firstPassword).toBe(true);
		const change = (current: string, next: string) => changePassword(shop.scope, first!.id, current, next);
		expect(await change(invited.password, invited.password)).toBe('sameAsBefore');
		expect(await change(invited.password, 'Tova Brandt1')).toBe('guessedQuickly');
		expect(await change(invited.password, STRONG)).toBe('changed');
		const own = await cookiesOf(STRONG);
		expect((await auth.whoIs(own))?.firstPassword).toBe(false);

		expect(await resetPassword(database.db, 'nobody@harrow.example')).toBeUndefined();
		const again = (await resetPassword(database.db, 'Tova@harrow.example'))!;
		expect(await auth.whoIs(own)).toBeUndefined();
		expect((await auth.whoIs(await cookiesOf(again)))?.firstPassword).toBe(true);
	});
	it('leaves nothing behind that has run out', async () => {
		await signedIn(PASSWORD);
		await database.db.models.session.update({ expiresAt: new Date(Date.now() - 1000) }, { where: {} });
		const tomorrow = new Date(Date.now() + 2 * 24 * 60 * 60 * 1000);
		expect((await purgeSignIn(database.db, tomorrow)).sessions).toBeGreaterThan(0);
		expect([await rowsOf(database.db, 'session'), await rowsOf(database.db, 'rateLimit')]).toEqual([0, 0]);
	});
	it('keeps passwords as Argon2id only', async () => {
		const hash = await auth.hashPassword('secret');
		expect(hash).toMatch(/^\$argon2id\$/);
		expect(hash).not.toContain('secret');
	});
});
