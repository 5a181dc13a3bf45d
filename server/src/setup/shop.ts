import { v7 as uuidv7 } from 'uuid';
import { defaultPolicy } from '@exetasis/core/decide';
import type { UnitPreference } from '@exetasis/core/quantity';
import { isGuessedQuickly } from '../auth/passwords';
import type { Database } from '../db/connection';
import { inTransaction, wasTaken } from '../db/scope';
import { addPerson } from '../people';
import { setPolicy } from '../shops';

export interface NewShop {
	readonly name: string;
	readonly currency: string;
	readonly units: UnitPreference;
	/** The first lead. */
	readonly lead: { readonly name: string; readonly email: string; readonly password: string };
	/** The lead must choose another password at the first sign-in. */
	readonly firstPassword?: boolean;
}
type ShopMade = { readonly kind: 'made'; readonly shopId: string } | { readonly kind: 'mailTaken' | 'guessedQuickly' };

/** Makes a shop with its first lead. */
export async function makeShop(
	db: Database,
	{ name, currency, units, lead, firstPassword = false }: NewShop
): Promise<ShopMade> {
	if (await isGuessedQuickly(lead.password, [lead.name, lead.email, name, 'exetasis']))
		return { kind: 'guessedQuickly' };
	const shopId = uuidv7();
	try {
		await inTransaction({ db, shopId }, async (within) => {
			await db.models.shop.create({ id: shopId, name, currency, demo: false }, { transaction: within.transaction });
			await setPolicy(within, defaultPolicy);
			await addPerson(within, { ...lead, role: 'lead', firstPassword, preferences: { units } });
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
