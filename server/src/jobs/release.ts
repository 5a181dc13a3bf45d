import { endReason } from '@exetasis/core/decide';
import { judgeMat } from '@exetasis/core/mat';
import { fold, standingDecision } from '@exetasis/core/record';
import { inTransaction, row, rows, type ShopScope } from '../db/query';
import { replaceParts, type Replacement } from '../parts';
import { benchOf, type Bench } from './bench';

/** A place whose part nobody has decided on. */
export interface Undecided {
	readonly station: string;
	readonly cylinder: number;
	readonly why: 'noDecision' | 'lookAgain';
}

export type Released =
	| { readonly kind: 'released'; readonly replaced: number; readonly reused: number }
	| { readonly kind: 'undecided'; readonly places: readonly Undecided[] }
	| { readonly kind: 'alreadyReleased' }
	| { readonly kind: 'unknownJob' };

/** Closes a job: replaced parts end their lives with why, new ones begin in their places, reused ones carry on. */
export function release(scope: ShopScope, userId: string, jobId: string, at = new Date()): Promise<Released> {
	return inTransaction(scope, async (within) => {
		const lock = await row<{ released: boolean }>(
			within,
			'SELECT released_at IS NOT NULL AS released FROM job WHERE shop_id = $1 AND id = $2 FOR UPDATE',
			[jobId]
		);
		if (!lock) return { kind: 'unknownJob' };
		if (lock.released) return { kind: 'alreadyReleased' };
		const bench = (await benchOf(within, jobId))!;
		const { undecided, replaced } = outcome(bench);
		if (undecided.length > 0) return { kind: 'undecided', places: undecided };
		await replaceParts(within, bench.job, replaced);
		await rows(within, 'UPDATE job SET released_at = $4, released_by = $3 WHERE shop_id = $1 AND id = $2 RETURNING 1', [
			jobId,
			userId,
			at
		]);
		return { kind: 'released', replaced: replaced.length, reused: bench.cells.length - replaced.length };
	});
}

/** Who is to go and who to stay, by the decisions that stand. */
function outcome(bench: Bench): { undecided: Undecided[]; replaced: Replacement[] } {
	const undecided: Undecided[] = [];
	const replaced: Replacement[] = [];
	for (const { cell, station, record, judgement } of judgeMat(bench, fold(bench.entries).parts)) {
		const { part, station: key, cylinder } = cell;
		const verdict = standingDecision(record)?.payload.verdict;
		if (verdict !== 'reuse' && verdict !== 'replace') {
			undecided.push({ station: key, cylinder, why: verdict ? 'lookAgain' : 'noDecision' });
		} else if (verdict === 'replace') {
			replaced.push({
				part,
				station: key,
				type: station.type,
				cylinder,
				endReason: endReason(judgement, station),
				asFitted: Object.fromEntries(record.fitted.map(({ payload }) => [payload.characteristic, payload.value]))
			});
		}
	}
	return { undecided, replaced };
}
