// Shops, what stands at the head of their papers, their sites and rules.
import type { Policy } from '@exetasis/core/decide';
import { bytes, flag, json, key, nullable, table, text, uuid } from './columns';

export const shop = table('shop', {
	id: key(uuid),
	name: text,
	currency: text,
	demo: flag
});

/** What stands at the head of what a shop hands out. */
export const letterhead = table('letterhead', {
	shopId: key(uuid),
	/** Lines under the shop's name. */
	address: text,
	/** PNG; null where the shop has none. */
	logo: nullable(bytes)
});

export const site = table('site', {
	id: key(uuid),
	shopId: uuid,
	name: text
});

export const policy = table('policy', {
	shopId: key(uuid),
	settings: json<Policy>()
});
