import type { SignedIn } from './auth/auth';
import { database } from './db/connection';
import type { Preferences } from './db/models';

/** Changes some of a person's own preferences and leaves the others. */
export async function setPreferences(user: SignedIn, change: Partial<Preferences>): Promise<void> {
	const preferences = { ...user.preferences, ...change };
	await database().models.user.update({ preferences }, { where: { id: user.id, shopId: user.shopId } });
}
