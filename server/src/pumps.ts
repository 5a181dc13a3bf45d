import type { ModelSheet } from '@exetasis/core/record';
import type { Duty, PumpRow } from './db/rows';
import { of, type ShopScope } from './db/scope';
import { lives, type LifeListing } from './db/sql/lives';
import { rebuilds, type Rebuild } from './db/sql/rebuilds';
import { pumpList, type PumpListing, type PumpPage } from './db/sql/pumpList';
import { newestSheet } from './sheets';

export interface PumpList {
	readonly pumps: readonly PumpListing[];
	/** How many there are in all. */
	readonly of: number;
}

/** A page of the shop's pumps. */
export async function pumpsOf(scope: ShopScope, page: Partial<PumpPage> = {}): Promise<PumpList> {
	const found = await pumpList(scope, { like: '', rebuilds: 0, offset: 0, limit: MOST_LISTED, ...page });
	return { pumps: found.map(({ of: _, ...pump }) => pump), of: found[0]?.of ?? 0 };
}
/** As many as a page of a list shows. */
export const MOST_LISTED = 100;

export interface Pump {
	readonly id: string;
	readonly serial: string;
	readonly tag: string | null;
	readonly site: string | null;
	readonly model: string;
	readonly duty: Duty;
}

export async function pumpById(scope: ShopScope, id: string): Promise<Pump | undefined> {
	const found = await of(scope, 'pump').one<PumpRow & { site: { name: string } | null }>({ id }, { include: ['site'] });
	if (!found) return undefined;
	const { serial, tag, site, model, duty } = found;
	return { id, serial, tag, site: site?.name ?? null, model, duty };
}

/** A pump with all that is on record of it: its rebuilds, newest first, and the lives at its places. */
export interface PumpHistory {
	readonly pump: Pump;
	readonly sheet: ModelSheet | undefined;
	readonly rebuilds: readonly Rebuild[];
	readonly lives: readonly LifeListing[];
}

export async function pumpHistory(scope: ShopScope, id: string): Promise<PumpHistory | undefined> {
	const pump = await pumpById(scope, id);
	if (!pump) return undefined;
	const sheet = (await newestSheet(scope, pump.model))?.body;
	return { pump, sheet, rebuilds: await rebuilds(scope, id), lives: await lives(scope, id) };
}
