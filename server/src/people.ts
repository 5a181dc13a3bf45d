import type { SignedIn } from './auth/auth';
import { database } from './db/connection';
import type { Preferences } from './db/models';
import { of } from './db/scope';

/** Changes some of a person's own preferences and leaves the others. */
export async function setPreferences(
	{ id, shopId, preferences }: SignedIn,
	change: Partial<Preferences>
): Promise<void> {
	await of({ db: database(), shopId }, 'user').change({ id }, { preferences: { ...preferences, ...change } });
}
