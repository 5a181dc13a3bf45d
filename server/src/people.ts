import { randomBytes } from 'node:crypto';
import { verify } from '@node-rs/argon2';
import { v7 as uuidv7 } from 'uuid';
import type { Role } from './access';
import { countWrong, waitBefore } from './auth/attempts';
import { hashPassword, type SignedIn } from './auth/auth';
import { isGuessedQuickly } from './auth/passwords';
import { database } from './db/connection';
import type { Preferences } from './db/tables';
import { inTransaction, of, wasTaken, type ShopScope } from './db/scope';
import { endStreamsOf } from './events';

/** Changes some of a person's own preferences and leaves the others. */
export async function setPreferences(
	{ id, shopId, preferences }: SignedIn,
	change: Partial<Preferences>
): Promise<void> {
	await of({ db: database(), shopId }, 'user').change({ id }, { preferences: { ...preferences, ...change } });
}

export interface Person {
	readonly id: string;
	readonly name: string;
	readonly email: string;
	readonly role: Role;
	readonly active: boolean;
}

/** The shop's people by name, those who may not sign in any more included. */
export const staffOf = (scope: ShopScope): Promise<Person[]> =>
	of(scope, 'user').all({}, { attributes: ['id', 'name', 'email', 'role', 'active'], order: [['name', 'ASC']] });

type Activated = 'done' | 'unknownPerson' | 'yourself';

/** Lets a person sign in again, or no more: then all their sessions and streams end at once. No one does it to themselves. */
export async function setActive(scope: ShopScope, by: string, id: string, active: boolean): Promise<Activated> {
	if (id === by) return 'yourself';
	const changed = await of(scope, 'user').change({ id }, { active });
	if (changed === 0) return 'unknownPerson';
	if (!active) await endSessionsOf(scope, id);
	return 'done';
}

type Invited = { readonly kind: 'invited'; readonly password: string } | { readonly kind: 'mailTaken' };

const FIRST_PASSWORD_BYTES = 9; // twelve characters

const firstPassword = (): string => randomBytes(FIRST_PASSWORD_BYTES).toString('base64url');

/** A person who can sign in with this password. */
interface NewPerson extends Pick<Person, 'name' | 'email' | 'role'> {
	readonly password: string;
	/** The password must be changed at the first sign-in. */
	readonly firstPassword: boolean;
	readonly preferences: Preferences;
}

/** Adds a person with their account, in the transaction of `within`. Errors: that of a unique key, if the address is in use. */
export async function addPerson(
	within: ShopScope,
	{ name, email, role, password, firstPassword, preferences }: NewPerson
): Promise<void> {
	const id = uuidv7();
	const dates = { createdAt: new Date(), updatedAt: new Date() };
	const unused = { emailVerified: false, image: null };
	const row = { id, name, email: email.toLowerCase(), role, active: true, firstPassword, preferences };
	await of(within, 'user').add({ ...row, ...unused, ...dates });
	const account = { id: uuidv7(), userId: id, accountId: id, providerId: 'credential' };
	await within.db.models.account.create(
		{ ...account, password: await hashPassword(password), ...dates },
		{ transaction: within.transaction }
	);
}

/** Adds a person, with a first password that is shown once to the lead and has to be changed at the first sign-in. */
export async function invite(
	scope: ShopScope,
	{ name, email, role }: Pick<Person, 'name' | 'email' | 'role'>
): Promise<Invited> {
	const password = firstPassword();
	try {
		await inTransaction(scope, (within) =>
			addPerson(within, { name, email, role, password, firstPassword: true, preferences: {} })
		);
	} catch (cause) {
		if (!wasTaken(cause)) throw cause;
		return { kind: 'mailTaken' };
	}
	return { kind: 'invited', password };
}

/** Changes a person's name or role; a changed role ends their sessions and streams at once. No one changes their own role. */
export async function changePerson(
	scope: ShopScope,
	by: string,
	id: string,
	change: { readonly name: string; readonly role: Role }
): Promise<Activated> {
	const before = await of(scope, 'user').one({ id });
	if (!before) return 'unknownPerson';
	if (id === by && change.role !== before.role) return 'yourself';
	await of(scope, 'user').change({ id }, change);
	if (change.role !== before.role) await endSessionsOf(scope, id);
	return 'done';
}

type PasswordChanged = 'changed' | 'wrongPassword' | 'tooMany' | 'guessedQuickly' | 'sameAsBefore';

// Guesses at a password by way of a session that was left open are counted like any others.
const BY_SESSION = 'change of password';

/** Changes one's own password; every session and stream of that person ends, also this one. */
export async function changePassword(
	scope: ShopScope,
	id: string,
	current: string,
	next: string
): Promise<PasswordChanged> {
	if ((await waitBefore(id, BY_SESSION)) > 0) return 'tooMany';
	if (next === current) return 'sameAsBefore';
	const person = await of(scope, 'user').one({ id });
	if (person && (await isGuessedQuickly(next, [person.name, person.email, 'exetasis']))) return 'guessedQuickly';
	const result = await changeNow(scope, id, current, next);
	if (result === 'wrongPassword') await countWrong(id, BY_SESSION);
	return result;
}

function changeNow(scope: ShopScope, id: string, current: string, next: string): Promise<PasswordChanged> {
	return inTransaction(scope, async (within): Promise<PasswordChanged> => {
		const { models } = within.db;
		const where = { userId: id, providerId: 'credential' };
		const account = await models.account.findOne({ where, transaction: within.transaction });
		const stored = account?.get('password');
		if (typeof stored !== 'string' || !(await verify(stored, current))) return 'wrongPassword';
		await models.account.update({ password: await hashPassword(next) }, { where, transaction: within.transaction });
		await of(within, 'user').change({ id }, { firstPassword: false });
		await endSessionsOf(within, id);
		return 'changed';
	});
}

/**
 * Gives a person a first password again, which is answered once; their sessions end. For use on the server, if a shop's
 * only lead has lost theirs. Undefined if no person has this address.
 */
export async function resetPassword(db: ShopScope['db'], email: string): Promise<string | undefined> {
	const person = await db.models.user.findOne({ where: { email: email.toLowerCase() } });
	if (!person) return undefined;
	const password = firstPassword();
	const [id, shopId] = [String(person.get('id')), String(person.get('shopId'))];
	await inTransaction({ db, shopId }, async (within) => {
		const where = { userId: id, providerId: 'credential' };
		const hashed = { password: await hashPassword(password) };
		await db.models.account.update(hashed, { where, transaction: within.transaction });
		await of(within, 'user').change({ id }, { firstPassword: true });
		await endSessionsOf(within, id);
	});
	return password;
}

async function endSessionsOf({ db, transaction }: ShopScope, userId: string): Promise<void> {
	await db.models.session.destroy({ where: { userId }, transaction });
	endStreamsOf(userId);
}
