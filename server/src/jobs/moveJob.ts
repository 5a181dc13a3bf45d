import { lostByMove, type Lost } from '@exetasis/core/draft';
import { entriesOf } from '../benchLog/entries';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { fillEmptyPlaces, layOut, type PartIds } from '../parts';
import { pinnedSheet, sheetById } from '../sheets';

type MovedJob =
	| { readonly kind: 'moved' }
	| { readonly kind: 'unknown' }
	| { readonly kind: 'released' }
	| { readonly kind: 'otherModel' }
	/** Something that was recorded would have no place. */
	| { readonly kind: 'loses'; readonly lost: readonly Lost[] };

/** An open job that goes by an earlier revision of a sheet. */
interface JobOnEarlier {
	readonly id: string;
	readonly serial: string;
	readonly sheetId: string;
	readonly revision: number;
}

/** The open jobs of a model that go by another revision than this one. */
export async function jobsOnOthers(scope: ShopScope, model: string, sheetId: string): Promise<JobOnEarlier[]> {
	const sheets = await of(scope, 'modelSheet').all({ model }, { attributes: ['id', 'revision'] });
	const revision = new Map(sheets.map((sheet) => [sheet.id, sheet.revision]));
	const others = sheets.map(({ id }) => id).filter((id) => id !== sheetId);
	if (others.length === 0) return [];
	const jobs = await of(scope, 'job').all<{ id: string; modelSheetId: string; pump: { serial: string } }>(
		{ modelSheetId: others, releasedAt: null },
		{ attributes: ['id', 'modelSheetId'], include: [{ association: 'pump', attributes: ['serial'] }] }
	);
	return jobs.map(({ id, modelSheetId, pump }) => ({
		id,
		serial: pump.serial,
		sheetId: modelSheetId,
		revision: revision.get(modelSheetId)!
	}));
}

/** Lets an open job go on with another revision of its sheet, unless something recorded would lose its place. New parts are laid out. */
export const moveJob = (scope: ShopScope, jobId: string, sheetId: string): Promise<MovedJob> =>
	inTransaction(scope, (within) => moveWithin(within, jobId, sheetId));

/** The same, in the transaction of `within`; new parts take the ids that `ids` has for them. */
export async function moveWithin(within: ShopScope, jobId: string, sheetId: string, ids?: PartIds): Promise<MovedJob> {
	const job = await of(within, 'job').one({ id: jobId }, { lock: true });
	const after = await sheetById(within, sheetId);
	if (!job || !after) return { kind: 'unknown' };
	if (job.releasedAt) return { kind: 'released' };
	const before = await pinnedSheet(within, job.modelSheetId);
	if (before.model !== after.model) return { kind: 'otherModel' };
	const cells = await of(within, 'matCell').all({ jobId });
	const laid = cells.map(({ partId: part, station, cylinder }) => ({ part, station, cylinder }));
	const lost = lostByMove(before, after, job, laid, await entriesOf(within, jobId));
	if (lost.length > 0) return { kind: 'loses', lost };
	await of(within, 'job').change({ id: jobId }, { modelSheetId: sheetId });
	await fillEmptyPlaces(within, job.pumpId, after, job.variants, ids);
	await layOut(within, jobId, job.pumpId, after, job);
	return { kind: 'moved' };
}
