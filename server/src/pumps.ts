import { v7 as uuidv7 } from 'uuid';
import type { ModelSheet } from '@exetasis/core/record';
import type { Duty, EarlierPlaceRow, PumpRow } from './db/tables';
import { inTransaction, of, type ShopScope } from './db/scope';
import { lives, type LifeListing } from './db/sql/lives';
import { rebuilds, type Rebuild } from './db/sql/rebuilds';
import { ASSUMED_HOURS_A_DAY, LEAST_HOURS_A_DAY, pumpList, type PumpListing, type PumpPage } from './db/sql/pumpList';
import { policyOf } from './shops';
import { newestSheet } from './sheets';

interface PumpList {
	readonly pumps: readonly PumpListing[];
	/** How many there are in all. */
	readonly of: number;
}

/** A page of the shop's pumps; by when they are due, the next to come in first. */
export async function pumpsOf(
	scope: ShopScope,
	page: Partial<Omit<PumpPage, 'intervalHours'>> = {}
): Promise<PumpList> {
	const { intervalHours } = await policyOf(scope);
	const usual = { like: '', rebuilds: 0, offset: 0, limit: MOST_LISTED, order: 'serial' as const };
	const found = await pumpList(scope, { ...usual, ...page, intervalHours });
	return { pumps: found.map(({ of: _, ...pump }) => pump), of: found[0]?.of ?? 0 };
}
/** As many as a page of a list shows. */
export const MOST_LISTED = 100;

export interface Pump {
	readonly id: string;
	readonly serial: string;
	readonly tag: string | null;
	readonly siteId: string | null;
	readonly site: string | null;
	readonly model: string;
	readonly duty: Duty;
}

export async function pumpById(scope: ShopScope, id: string): Promise<Pump | undefined> {
	const found = await of(scope, 'pump').one<PumpRow & { site: { name: string } | null }>({ id }, { include: ['site'] });
	if (!found) return undefined;
	const { serial, tag, siteId, site, model, duty } = found;
	return { id, serial, tag, siteId, site: site?.name ?? null, model, duty };
}

interface EarlierPlace {
	readonly site: string | null;
	readonly tag: string | null;
	readonly until: Date;
}

/** Where a pump ran before, newest first. */
export async function earlierPlaces(scope: ShopScope, pumpId: string): Promise<EarlierPlace[]> {
	const found = await of(scope, 'earlierPlace').all<EarlierPlaceRow & { site: { name: string } | null }>(
		{ pumpId },
		{ include: ['site'], order: [['until', 'DESC']] }
	);
	return found.map(({ site, tag, until }) => ({ site: site?.name ?? null, tag, until }));
}

type Moved = 'moved' | 'unknownPump' | 'unknownSite' | 'samePlace';

/** Moves a pump to another site or gives it another name there; where it ran before stays on record. */
export const movePump = (
	scope: ShopScope,
	by: string,
	id: string,
	{ siteId, tag }: { readonly siteId: string | null; readonly tag: string | null }
): Promise<Moved> =>
	inTransaction(scope, async (within): Promise<Moved> => {
		const pump = await of(within, 'pump').one({ id }, { lock: true });
		if (!pump) return 'unknownPump';
		if (siteId && (await of(within, 'site').count({ id: siteId })) === 0) return 'unknownSite';
		if (pump.siteId === siteId && pump.tag === tag) return 'samePlace';
		await of(within, 'earlierPlace').add({
			id: uuidv7(),
			pumpId: id,
			siteId: pump.siteId,
			tag: pump.tag,
			until: new Date(),
			movedBy: by
		});
		await of(within, 'pump').change({ id }, { siteId, tag });
		return 'moved';
	});

/** A pump with all that is on record of it: its rebuilds, newest first, and the lives at its places. */
interface PumpHistory {
	readonly pump: Pump;
	readonly sheet: ModelSheet | undefined;
	readonly rebuilds: readonly Rebuild[];
	readonly lives: readonly LifeListing[];
	readonly places: readonly EarlierPlace[];
}

export async function pumpHistory(scope: ShopScope, id: string): Promise<PumpHistory | undefined> {
	const pump = await pumpById(scope, id);
	if (!pump) return undefined;
	const sheet = (await newestSheet(scope, pump.model))?.body;
	return {
		pump,
		sheet,
		rebuilds: await rebuilds(scope, id),
		lives: await lives(scope, id),
		places: await earlierPlaces(scope, id)
	};
}

/** The lives at one place of a job's pump, newest first; undefined where the shop has no such job. */
export async function placeBefore(
	scope: ShopScope,
	jobId: string,
	place: { readonly station: string; readonly cylinder: number }
): Promise<readonly LifeListing[] | undefined> {
	const job = await of(scope, 'job').one({ id: jobId });
	return job && (await lives(scope, job.pumpId, place)).toReversed();
}

const DAY_MS = 86_400_000;

/** How many hours a day a pump has run, from its first rebuild on record to its last; assumed where it has been in once only. */
export async function runningHoursADay(
	scope: ShopScope,
	pumpId: string
): Promise<{ readonly hours: number; readonly assumed: boolean }> {
	const jobs = await of(scope, 'job').all(
		{ pumpId },
		{ attributes: ['pumpHours', 'receivedAt'], order: [['receivedAt', 'ASC']] }
	);
	const [first, last] = [jobs.at(0), jobs.at(-1)];
	const days = first && last ? (last.receivedAt.getTime() - first.receivedAt.getTime()) / DAY_MS : 0;
	const hours = first && last && days >= 1 ? (last.pumpHours - first.pumpHours) / days : 0;
	return hours > LEAST_HOURS_A_DAY
		? { hours: Math.min(24, hours), assumed: false }
		: { hours: ASSUMED_HOURS_A_DAY, assumed: true };
}
