// A sheet that grows while its first pump is stripped: what came off is added to the sheet and lies on the mat at once.
import { v7 as uuidv7 } from 'uuid';
import { customsOf, withLaidDown, withNewSize, type LaidDown, type SheetDraft } from '@exetasis/core/draft';
import { blockedBy, fold, kindsTakingBack, stepsInScope, type ModelSheet } from '@exetasis/core/record';
import { entriesOf } from '../benchLog/entries';
import { inTransaction, of, wasTaken, type ShopScope } from '../db/scope';
import { layoutSheets } from '../layouts';
import type { PartIds } from '../parts';
import { addSheet, newestSheet, newestSheets, pinnedSheet } from '../sheets';
import { moveWithin } from './moveJob';

export type LaidDownAnswer =
	/** With the keys of the parts that were laid down. */
	| { readonly kind: 'laid'; readonly stations: readonly string[] }
	| { readonly kind: 'unknownJob' }
	| { readonly kind: 'released' }
	/** A lead has checked the sheet: it changes by revisions from now on. */
	| { readonly kind: 'checked' }
	/** The pump is not safe to open yet. */
	| { readonly kind: 'blocked' }
	/** The sheet has no such part, or such a part has no such size. */
	| { readonly kind: 'unknownSize' }
	/** A part of one of the ids is there already. */
	| { readonly kind: 'idsTaken' }
	/** The sheet would have faults, or more parts than a sheet holds. */
	| { readonly kind: 'faults'; readonly message: string };

/** The ids that a tablet gave the pieces of one part, by cylinder (0: of the pump). */
type PieceIds = Readonly<Record<string, string>>;

interface Batch {
	readonly behind?: string;
	readonly request?: string;
	/** For each part; it may have been inspected on its tablet already. */
	readonly ids?: readonly PieceIds[];
}

/**
 * Adds parts that came off to the provisional sheet of a job, as its next revision, and lays them out on the job's mat: behind the
 * part of this key, else behind all others. A request of the same id that comes again, because its answer was lost on the way, adds
 * nothing.
 */
export async function layDown(
	scope: ShopScope,
	jobId: string,
	parts: readonly LaidDown[],
	{ behind, request = uuidv7(), ids = [] }: Batch = {}
): Promise<LaidDownAnswer> {
	const customs = customsOf([...(await layoutSheets()), ...(await newestSheets(scope))]);
	const batch = { jobId, id: request };
	let stations: readonly string[] = [];
	const answer = await growSheet(
		scope,
		jobId,
		async (sheet, within) => {
			const known = await of(within, 'laidBatch').one(batch);
			if (known) {
				stations = known.stations;
				return 'answered';
			}
			const { draft, keys } = withLaidDown(sheet, parts, customs, behind);
			stations = keys;
			return draft;
		},
		{
			ids: ({ station, cylinder }) => ids[stations.indexOf(station)]?.[cylinder],
			done: async (within) => void (await of(within, 'laidBatch').add({ ...batch, stations }))
		}
	).catch((error: unknown): LaidDownAnswer => {
		if (wasTaken(error)) return { kind: 'idsTaken' };
		throw error;
	});
	return answer.kind === 'laid' ? { kind: 'laid', stations } : answer;
}

/** A size of a part on the mat that is measured from now on, with what a new part measures there in the base unit of the size. */
interface SizeOfPart {
	readonly part: string;
	readonly characteristic: string;
	readonly nominal: number;
}

/**
 * Adds a size to a part of a job's provisional sheet, as its next revision. Sent again, because its answer was lost on the way, it
 * adds nothing. Its limit: `withNewSize`.
 */
export async function addSize(
	scope: ShopScope,
	jobId: string,
	{ part, characteristic, nominal }: SizeOfPart
): Promise<LaidDownAnswer> {
	const customs = customsOf([...(await layoutSheets()), ...(await newestSheets(scope))]);
	return growSheet(scope, jobId, async (sheet, within) => {
		const station = (await of(within, 'matCell').one({ jobId, partId: part }))?.station;
		const grown = station === undefined ? undefined : withNewSize(sheet, { station, characteristic, nominal }, customs);
		return grown === sheet ? 'answered' : grown;
	});
}

// The next revision of the provisional sheet of a job, and the job on it; `done` stands or falls with it. Nothing changes if the
// change gives no sheet.
const growSheet = (
	scope: ShopScope,
	jobId: string,
	change: (sheet: ModelSheet, within: ShopScope) => Promise<SheetDraft | 'answered' | undefined>,
	{ ids, done }: { readonly ids?: PartIds; readonly done?: (within: ShopScope) => Promise<void> } = {}
): Promise<LaidDownAnswer> =>
	inTransaction(scope, async (within): Promise<LaidDownAnswer> => {
		// Two tablets at one pump lay down one after the other.
		const job = await of(within, 'job').one({ id: jobId }, { lock: true });
		if (!job) return { kind: 'unknownJob' };
		if (job.releasedAt) return { kind: 'released' };
		const pinned = await pinnedSheet(within, job.modelSheetId);
		const newest = await newestSheet(within, pinned.model);
		if (!pinned.provisional || !newest?.body.provisional) return { kind: 'checked' };
		const log = fold(await entriesOf(within, jobId, { kinds: ['step', ...kindsTakingBack] }));
		if (blockedBy(stepsInScope(pinned, job), log.steps).length > 0) return { kind: 'blocked' };
		const changed = await change(newest.body, within);
		if (changed === 'answered') return { kind: 'laid', stations: [] };
		if (!changed) return { kind: 'unknownSize' };
		const added = await addSheet(within, JSON.stringify({ ...changed, revision: newest.body.revision + 1 }));
		if (added.kind === 'faults') return { kind: 'faults', message: added.faults[0].message };
		if (added.kind === 'revisionExists') return { kind: 'faults', message: 'another person changed the sheet' };
		const moved = await moveWithin(within, jobId, added.id, ids);
		if (moved.kind !== 'moved') throw new Error(`what was added cannot lose what is recorded: ${moved.kind}`);
		await done?.(within);
		return { kind: 'laid', stations: [] };
	});
