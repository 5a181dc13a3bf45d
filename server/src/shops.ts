import { defaultPolicy, policySchema, type Policy } from '@exetasis/core/decide';
import { database } from './db/connection';
import { row, rows, type ShopScope } from './db/query';

export interface Shop {
	readonly name: string;
	readonly currency: string;
	readonly demo: boolean;
}

export async function shopOf(scope: ShopScope): Promise<Shop> {
	return (await row<Shop>(scope, 'SELECT name, currency, demo FROM shop WHERE id = $1'))!;
}

/** The shop's rules for reuse and replace; our defaults where it has set none. */
export async function policyOf(scope: ShopScope): Promise<Policy> {
	const found = await row<{ settings: unknown }>(scope, 'SELECT settings FROM policy WHERE shop_id = $1');
	return found ? policySchema.parse(found.settings) : defaultPolicy;
}

/** Sets the shop's rules. Released jobs keep what was proposed and decided then, since that stands in their log. */
export const setPolicy = (scope: ShopScope, settings: Policy): Promise<unknown> =>
	rows(
		scope,
		'INSERT INTO policy (shop_id, settings) VALUES ($1, $2) ON CONFLICT (shop_id) DO UPDATE SET settings = $2 RETURNING 1',
		[JSON.stringify(settings)]
	);

/** Names of the shop's people by their id, for "who did this". */
export async function peopleOf(scope: ShopScope): Promise<Record<string, string>> {
	const people = await rows<{ id: string; name: string }>(scope, 'SELECT id, name FROM "user" WHERE shop_id = $1');
	return Object.fromEntries(people.map(({ id, name }) => [id, name]));
}

export const sitesOf = (scope: ShopScope): Promise<{ id: string; name: string }[]> =>
	rows(scope, 'SELECT id, name FROM site WHERE shop_id = $1 ORDER BY name');

/** Whether this database holds a demo shop, whose accounts are public and are named on the sign-in page. */
export const hasDemo = async (): Promise<boolean> =>
	(await database().models.shop.count({ where: { demo: true } })) > 0;
