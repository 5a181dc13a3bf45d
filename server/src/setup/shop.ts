import { v7 as uuidv7 } from 'uuid';
import { defaultPolicy } from '@exetasis/core/decide';
import type { UnitPreference } from '@exetasis/core/quantity';
import { hashPassword } from '../auth/auth';
import { isGuessedQuickly } from '../auth/passwords';
import type { Database } from '../db/connection';
import { inTransaction, of, wasTaken } from '../db/scope';

export interface NewShop {
	readonly name: string;
	readonly currency: string;
	readonly units: UnitPreference;
	/** The first lead. */
	readonly lead: { readonly name: string; readonly email: string; readonly password: string };
	/** The lead must choose another password at the first sign-in. */
	readonly firstPassword?: boolean;
}
export type ShopMade =
	{ readonly kind: 'made'; readonly shopId: string } | { readonly kind: 'mailTaken' | 'guessedQuickly' };

/** Makes a shop with its first lead. */
export async function makeShop(
	db: Database,
	{ name, currency, units, lead, firstPassword = false }: NewShop
): Promise<ShopMade> {
	if (await isGuessedQuickly(lead.password, [lead.name, lead.email, name, 'exetasis']))
		return { kind: 'guessedQuickly' };
	const shopId = uuidv7();
	const password = await hashPassword(lead.password);
	const dates = { createdAt: new Date(), updatedAt: new Date() };
	const email = lead.email.toLowerCase();
	try {
		await inTransaction({ db, shopId }, async (within) => {
			const { transaction } = within;
			await db.models.shop.create({ id: shopId, name, currency, demo: false }, { transaction });
			await of(within, 'policy').put({ settings: defaultPolicy });
			const person = { id: uuidv7(), name: lead.name, email, role: 'lead' as const, active: true, firstPassword };
			const unused = { emailVerified: false, image: null };
			await of(within, 'user').add({ ...person, ...unused, preferences: { units }, ...dates });
			const account = { id: uuidv7(), userId: person.id, accountId: person.id, providerId: 'credential', password };
			await db.models.account.create({ ...account, ...dates }, { transaction });
		});
	} catch (cause) {
		if (!wasTaken(cause)) throw cause;
		return { kind: 'mailTaken' };
	}
	return { kind: 'made', shopId };
}

/** How many shops there are, and whether one of them is the demo. */
export async function shopsHere(db: Database): Promise<{ readonly own: number; readonly demo: boolean }> {
	const [own, demo] = await Promise.all([
		db.models.shop.count({ where: { demo: false } }),
		db.models.shop.count({ where: { demo: true } })
	]);
	return { own, demo: demo > 0 };
}
