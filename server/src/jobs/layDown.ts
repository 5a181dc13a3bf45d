// A sheet that grows while its first pump is stripped: what came off is added to the sheet and lies on the mat at once.
import { customsOf, withLaidDown, type LaidDown } from '@exetasis/core/draft';
import { blockedBy, fold, stepsInScope } from '@exetasis/core/record';
import { entriesOf } from '../benchLog/entries';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { layoutSheets } from '../layouts';
import { addSheet, newestSheet, newestSheets, pinnedSheet } from '../sheets';
import { moveWithin } from './moveJob';

export type LaidDownAnswer =
	| { readonly kind: 'laid' }
	| { readonly kind: 'unknownJob' }
	| { readonly kind: 'released' }
	/** A lead has checked the sheet: it changes by revisions from now on. */
	| { readonly kind: 'checked' }
	/** The pump is not safe to open yet. */
	| { readonly kind: 'blocked' }
	/** The sheet would have faults, or more parts than a sheet holds. */
	| { readonly kind: 'faults'; readonly message: string };

/** Adds parts that came off to the provisional sheet of a job, as its next revision, and lays them out on the job's mat. */
export async function layDown(scope: ShopScope, jobId: string, parts: readonly LaidDown[]): Promise<LaidDownAnswer> {
	const customs = customsOf([...(await layoutSheets()), ...(await newestSheets(scope))]);
	return inTransaction(scope, async (within): Promise<LaidDownAnswer> => {
		// Two tablets at one pump lay down one after the other.
		const job = await of(within, 'job').one({ id: jobId }, { lock: true });
		if (!job) return { kind: 'unknownJob' };
		if (job.releasedAt) return { kind: 'released' };
		const pinned = await pinnedSheet(within, job.modelSheetId);
		const newest = await newestSheet(within, pinned.model);
		if (!pinned.provisional || !newest?.body.provisional) return { kind: 'checked' };
		const log = fold(await entriesOf(within, jobId, { kinds: ['step', 'withdraw', 'correction'] }));
		if (blockedBy(stepsInScope(pinned, job), log.steps).length > 0) return { kind: 'blocked' };
		const body = { ...withLaidDown(newest.body, parts, customs), revision: newest.body.revision + 1 };
		const added = await addSheet(within, JSON.stringify(body));
		if (added.kind === 'faults') return { kind: 'faults', message: added.faults[0].message };
		if (added.kind === 'revisionExists') return { kind: 'faults', message: 'another person changed the sheet' };
		const moved = await moveWithin(within, jobId, added.id);
		if (moved.kind !== 'moved') throw new Error(`parts that were added cannot lose what is recorded: ${moved.kind}`);
		return { kind: 'laid' };
	});
}
