import { defaultPolicy, policySchema, type Policy } from '@exetasis/core/decide';
import { database } from './db/connection';
import { of, type ShopScope } from './db/scope';

export interface Shop {
	readonly name: string;
	readonly currency: string;
	readonly demo: boolean;
}

export async function shopOf({ db, shopId, transaction }: ShopScope): Promise<Shop> {
	const { name, currency, demo } = (await db.models.shop.findByPk(shopId, { transaction }))!.get({ plain: true });
	return { name, currency, demo };
}

/** The shop's rules for reuse and replace; our defaults where it has set none. */
export async function policyOf(scope: ShopScope): Promise<Policy> {
	const found = await of(scope, 'policy').one();
	return found ? policySchema.parse(found.settings) : defaultPolicy;
}

/** Sets the shop's rules. Released jobs keep what they rested on. */
export const setPolicy = (scope: ShopScope, settings: Policy): Promise<void> => of(scope, 'policy').put({ settings });

/** Names of the shop's people by their id, for "who did this". */
export async function peopleOf(scope: ShopScope): Promise<Record<string, string>> {
	const people = await of(scope, 'user').all({}, { attributes: ['id', 'name'] });
	return Object.fromEntries(people.map(({ id, name }) => [id, name]));
}

export const sitesOf = (scope: ShopScope): Promise<{ id: string; name: string }[]> =>
	of(scope, 'site').all({}, { attributes: ['id', 'name'], order: [['name', 'ASC']] });

/** Whether this database holds a demo shop, whose accounts are public and are named on the sign-in page. */
export const hasDemo = async (): Promise<boolean> =>
	(await database().models.shop.count({ where: { demo: true } })) > 0;
