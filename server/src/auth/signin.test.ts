import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Database } from '../db/connection';
import { freshDatabase, makeShop, PASSWORD, type TestShop } from '../testing';

const ORIGIN = 'http://localhost';
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
const attempt = (password: string, address = '198.51.100.1') => auth.signIn({ email, password }, ORIGIN, address);
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
	it('refuses a wrong password and somebody unknown alike', async () => {
		expect(await attempt('wrong')).toEqual({ kind: 'refused' });
		expect(await auth.signIn({ email: 'nobody@harrow.example', password: PASSWORD }, ORIGIN, '198.51.100.1')).toEqual({
			kind: 'refused'
		});
	});
	it('knows nobody by a made-up cookie', async () =>
		expect(await auth.whoIs(new Headers({ cookie: 'exetasis.session_token=made.up' }))).toBeUndefined());
	it('slows an address down that guesses, counted in the database, and no other', async () => {
		const results = [];
		for (let i = 0; i < 22; i++) results.push((await attempt('guess', '203.0.113.7')).kind);
		expect(results.at(-1)).toBe('tooMany');
		expect(await rowsOf(database.db, 'rateLimit')).toBeGreaterThan(0);
		expect((await attempt(PASSWORD, '198.51.100.2')).kind).toBe('signedIn');
	});
	it('keeps passwords as Argon2id only', async () => {
		const hash = await auth.hashPassword('secret');
		expect(hash).toMatch(/^\$argon2id\$/);
		expect(hash).not.toContain('secret');
	});
});
