import { placeKey, placesOf } from '@exetasis/core/mat';
import { chosenProblem, type Chosen } from '@exetasis/core/record';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { pinnedSheet, toReceive, type ModelToReceive } from '../sheets';
import type { Bench } from './bench';
import { recordedParts, type NamedPart } from './recordedParts';

/** What of a pump's variants no one could say when it was received; undefined where nothing is open. */
export function stillOpen({
	job,
	sheet
}: Pick<Bench, 'job' | 'sheet'>): Pick<ModelToReceive, 'variants' | 'cylinders'> | undefined {
	const variants = toReceive(sheet).variants.filter(({ key }) => !Object.hasOwn(job.variants, key));
	return variants.length > 0 ? { cylinders: sheet.cylinders, variants } : undefined;
}

export type Said =
	| { readonly kind: 'kept' }
	| { readonly kind: 'unknownJob' | 'released' }
	| { readonly kind: 'wrongVariant' }
	/** Said before, at receipt or by someone else just now: a pump does not change while it is open. */
	| { readonly kind: 'saidBefore'; readonly variants: readonly string[] }
	/** Parts that such a pump has not, and that something is recorded of. */
	| { readonly kind: 'partsRecorded'; readonly parts: readonly NamedPart[] };

/**
 * What the pump turned out to be made of as it was opened, where it was received without saying: from here on only the parts of
 * such a pump lie on the mat, and the pump keeps it.
 */
export function setVariants(scope: ShopScope, jobId: string, said: Chosen): Promise<Said> {
	return inTransaction(scope, async (within): Promise<Said> => {
		const job = await of(within, 'job').one({ id: jobId }, { lock: true });
		if (!job) return { kind: 'unknownJob' };
		if (job.releasedAt) return { kind: 'released' };
		const sheet = await pinnedSheet(within, job.modelSheetId);
		if (Object.keys(said).length === 0 || chosenProblem(sheet, said)) return { kind: 'wrongVariant' };
		const before = sheet.variants.filter(({ key }) => Object.hasOwn(said, key) && Object.hasOwn(job.variants, key));
		if (before.length > 0) return { kind: 'saidBefore', variants: before.map(({ name }) => name) };
		const variants = { ...job.variants, ...said };
		const there = new Set(placesOf(sheet, variants).map(({ station, cylinder }) => placeKey(station, cylinder)));
		const cells = await of(within, 'matCell').all({ jobId });
		const gone = cells.filter(({ station, cylinder }) => !there.has(placeKey(station, cylinder)));
		const parts = await recordedParts(within, jobId, sheet, gone);
		if (parts.length > 0) return { kind: 'partsRecorded', parts };
		await of(within, 'job').change({ id: jobId }, { variants });
		const pump = await of(within, 'pump').one({ id: job.pumpId }, { lock: true });
		await of(within, 'pump').change({ id: job.pumpId }, { variants: { ...pump!.variants, ...said } });
		await of(within, 'matCell').remove({ jobId, partId: gone.map(({ partId }) => partId) });
		// They never were in this pump; where an earlier rebuild speaks of one, its life stays on record.
		const elsewhere = await of(within, 'matCell').all({ partId: gone.map(({ partId }) => partId) });
		const known = new Set(elsewhere.map(({ partId }) => partId));
		const never = gone.flatMap(({ partId }) => (known.has(partId) ? [] : [partId]));
		await of(within, 'partLife').remove({ pumpId: job.pumpId, partId: never, fittedJobId: null });
		return { kind: 'kept' };
	});
}
