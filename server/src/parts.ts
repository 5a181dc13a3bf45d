import { v7 as uuidv7 } from 'uuid';
import type { EndReason } from '@exetasis/core/decide';
import { placeKey, placesOf, type PartPlace } from '@exetasis/core/mat';
import { openedCylinders, type Chosen, type ModelSheet, type Opening } from '@exetasis/core/record';
import { of, type ShopScope } from './db/scope';

/** The id that a tablet gave the part of a place before the server knew of it. */
export type PartIds = (place: PartPlace) => string | undefined;

/** Gives every empty place of the pump a part of which nothing is known yet: what a pump brings when it first comes in. */
export async function fillEmptyPlaces(
	scope: ShopScope,
	pumpId: string,
	sheet: ModelSheet,
	variants: Chosen,
	ids: PartIds = () => undefined
): Promise<void> {
	const filled = await of(scope, 'partLife').all(
		{ pumpId, removedJobId: null },
		{ attributes: ['station', 'cylinder'] }
	);
	const taken = new Set(filled.map(({ station, cylinder }) => placeKey(station, cylinder)));
	const empty = placesOf(sheet, variants).filter(({ station, cylinder }) => !taken.has(placeKey(station, cylinder)));
	await fit(
		scope,
		empty.map((place) => ({ ...place, asFitted: {}, lot: null, supplier: null, kit: null })),
		{ pumpId, fittedJobId: null, fittedHours: null },
		ids
	);
}

/** New parts at these places, each with a life that begins. */
async function fit(
	scope: ShopScope,
	places: readonly (PartPlace & Pick<Replacement, 'asFitted' | 'lot' | 'supplier' | 'kit'>)[],
	fitted: { pumpId: string; fittedJobId: string | null; fittedHours: number | null },
	ids: PartIds = () => undefined
): Promise<void> {
	const parts = places.map((place) => ({ ...place, part: ids(place) ?? uuidv7(), life: uuidv7() }));
	await of(scope, 'part').addAll(
		parts.map(({ part, type, asFitted, lot, supplier, kit }) => ({ id: part, type, asFitted, lot, supplier, kit }))
	);
	const open = { removedJobId: null, removedHours: null, endReason: null };
	await of(scope, 'partLife').addAll(
		parts.map(({ life, part, station, cylinder }) => ({
			id: life,
			partId: part,
			station,
			cylinder,
			...fitted,
			...open
		}))
	);
}

/** Lays the parts that sit in the pump now out on the mat of a job: those of its variants, in the cylinders that it opens. Places that are filled stay as they are. */
export async function layOut(
	scope: ShopScope,
	jobId: string,
	pumpId: string,
	sheet: ModelSheet,
	{ variants, arrival }: Required<Pick<Opening, 'variants'>> & Pick<Opening, 'arrival'>
): Promise<void> {
	const opened = [0, ...openedCylinders(sheet, { arrival })];
	const sitting = await of(scope, 'partLife').all({ pumpId, removedJobId: null });
	const places = new Set(placesOf(sheet, variants).map(({ station, cylinder }) => placeKey(station, cylinder)));
	const there = await of(scope, 'matCell').all({ jobId }, { attributes: ['station', 'cylinder'] });
	const filled = new Set(there.map(({ station, cylinder }) => placeKey(station, cylinder)));
	const laid = sitting.filter(
		({ station, cylinder }) =>
			opened.includes(cylinder) && places.has(placeKey(station, cylinder)) && !filled.has(placeKey(station, cylinder))
	);
	await of(scope, 'matCell').addAll(
		laid.map(({ partId, station, cylinder }) => ({ jobId, partId, station, cylinder }))
	);
}

export interface Replacement extends PartPlace {
	readonly part: string;
	readonly endReason: EndReason;
	/** Sizes of the part that comes in its place, as far as they were measured. */
	readonly asFitted: Readonly<Record<string, number>>;
	/** What its bag says, where someone has noted it. */
	readonly lot: string | null;
	readonly supplier: string | null;
	readonly kit: string | null;
}

/** Ends the lives of the parts that are replaced, and begins those of new ones in their places. */
export async function replaceParts(
	scope: ShopScope,
	job: { id: string; pumpId: string; pumpHours: number },
	replaced: readonly Replacement[]
): Promise<void> {
	for (const reason of new Set(replaced.map(({ endReason }) => endReason))) {
		const partId = replaced.filter(({ endReason }) => endReason === reason).map(({ part }) => part);
		const ended = { removedJobId: job.id, removedHours: job.pumpHours, endReason: reason };
		await of(scope, 'partLife').change({ partId, removedJobId: null }, ended);
	}
	await fit(scope, replaced, { pumpId: job.pumpId, fittedJobId: job.id, fittedHours: job.pumpHours });
}
