import { verify } from '@node-rs/argon2';
import type { Role } from './access';
import { countWrong, waitBefore } from './auth/attempts';
import { hashPassword, type SignedIn } from './auth/auth';
import { database } from './db/connection';
import type { Preferences } from './db/rows';
import { inTransaction, of, type ShopScope } from './db/scope';
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

export type Activated = 'done' | 'unknownPerson' | 'yourself';

/** Lets a person sign in again, or no more: then all their sessions and streams end at once. Nobody does it to themselves. */
export async function setActive(scope: ShopScope, by: string, id: string, active: boolean): Promise<Activated> {
	if (id === by) return 'yourself';
	const changed = await of(scope, 'user').change({ id }, { active });
	if (changed === 0) return 'unknownPerson';
	if (!active) await endSessionsOf(scope, id);
	return 'done';
}

export const SHORTEST_PASSWORD = 10;
export const LONGEST_PASSWORD = 200;
export type PasswordChanged = 'changed' | 'wrongPassword' | 'tooMany';

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
		await endSessionsOf(within, id);
		return 'changed';
	});
}

async function endSessionsOf({ db, transaction }: ShopScope, userId: string): Promise<void> {
	await db.models.session.destroy({ where: { userId }, transaction });
	endStreamsOf(userId);
}
