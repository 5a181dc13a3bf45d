import { placeKey, placesOf } from '@exetasis/core/mat';
import { openedCylinders, stationsInScope, wrongCylinder, type ModelSheet, type Opening } from '@exetasis/core/record';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { pinnedSheet } from '../sheets';
import { recordedParts, type NamedPart } from './recordedParts';

export type Opened =
	| { readonly kind: 'changed'; readonly added: number; readonly removed: number }
	| { readonly kind: 'unknownJob' | 'released' | 'noneOpen' }
	| { readonly kind: 'wrongCylinder'; readonly cylinder: number }
	/** Parts with entries in the log, in a cylinder that is to stay shut. */
	| { readonly kind: 'partsRecorded'; readonly parts: readonly NamedPart[] };

/**
 * Changes which cylinders a job opens: their parts come on to the mat, those of cylinders that stay shut after all leave it.
 * Nothing that is recorded is lost: a cylinder with entries in the log stays open.
 */
export function changeOpened(scope: ShopScope, jobId: string, cylinders: readonly number[]): Promise<Opened> {
	return inTransaction(scope, async (within): Promise<Opened> => {
		const job = await of(within, 'job').one({ id: jobId }, { lock: true });
		if (!job) return { kind: 'unknownJob' };
		if (job.releasedAt) return { kind: 'released' };
		const sheet = await pinnedSheet(within, job.modelSheetId);
		if (cylinders.length === 0) return { kind: 'noneOpen' };
		const wrong = wrongCylinder(sheet, cylinders);
		if (wrong !== undefined) return { kind: 'wrongCylinder', cylinder: wrong };
		const cells = await of(within, 'matCell').all({ jobId });
		const gone = cells.filter(({ cylinder }) => cylinder > 0 && !cylinders.includes(cylinder));
		const parts = await recordedParts(within, jobId, sheet, gone);
		if (parts.length > 0) return { kind: 'partsRecorded', parts };
		const before = openedCylinders(sheet, job);
		const fresh = cylinders.filter((cylinder) => !before.includes(cylinder));
		const places = new Set(placesOf(sheet, job.variants).map(({ station, cylinder }) => placeKey(station, cylinder)));
		const sitting = await of(within, 'partLife').all({ pumpId: job.pumpId, removedJobId: null });
		const laid = sitting.filter(
			({ station, cylinder }) => fresh.includes(cylinder) && places.has(placeKey(station, cylinder))
		);
		await of(within, 'matCell').remove({ jobId, partId: gone.map(({ partId }) => partId) });
		await of(within, 'matCell').addAll(
			laid.map(({ partId, station, cylinder }) => ({ jobId, partId, station, cylinder }))
		);
		await of(within, 'job').change({ id: jobId }, { arrival: withCylinders(sheet, job.arrival, cylinders) });
		// The mat shows what the scope opens of them.
		const shown = new Set(stationsInScope(sheet, job).map(({ key }) => key));
		const count = (some: readonly { readonly station: string }[]) =>
			some.filter(({ station }) => shown.has(station)).length;
		return { kind: 'changed', added: count(laid), removed: count(gone) };
	});
}

// All of them is what nothing is said of.
function withCylinders<A extends NonNullable<Opening['arrival']>>(
	sheet: ModelSheet,
	{ cylinders: _before, ...arrival }: A,
	cylinders: readonly number[]
) {
	return cylinders.length === sheet.cylinders
		? arrival
		: { ...arrival, cylinders: cylinders.toSorted((a, b) => a - b) };
}
