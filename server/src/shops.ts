import { col, fn } from 'sequelize';
import { v7 as uuidv7 } from 'uuid';
import { defaultPolicy, policySchema, type Policy } from '@exetasis/core/decide';
import { of, wasTaken, type ShopScope } from './db/scope';

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

/** A site with how many pumps run there. */
interface SiteListing {
	readonly id: string;
	readonly name: string;
	readonly pumps: number;
}

export async function sitesWithPumps(scope: ShopScope): Promise<SiteListing[]> {
	const sites = await sitesOf(scope);
	const counted = await of(scope, 'pump').all<{ siteId: string | null; pumps: string }>(
		{},
		{ attributes: ['siteId', [fn('count', col('id')), 'pumps']], group: ['siteId'] }
	);
	const pumps = new Map(counted.map((count) => [count.siteId, Number(count.pumps)]));
	return sites.map((site) => ({ ...site, pumps: pumps.get(site.id) ?? 0 }));
}

type SiteKept = 'kept' | 'nameTaken' | 'unknownSite';

/** Adds a site, or renames the one with this id. */
export async function keepSite(scope: ShopScope, name: string, id?: string): Promise<SiteKept> {
	try {
		if (id) return (await of(scope, 'site').change({ id }, { name })) > 0 ? 'kept' : 'unknownSite';
		await of(scope, 'site').add({ id: uuidv7(), name });
		return 'kept';
	} catch (cause) {
		if (!wasTaken(cause)) throw cause;
		return 'nameTaken';
	}
}
