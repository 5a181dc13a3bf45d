import { endReason } from '@exetasis/core/decide';
import { judgeMat } from '@exetasis/core/mat';
import { fold, standingDecision, stepsInScope, type JobState } from '@exetasis/core/record';
import { fitSoon } from '../background/queue';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { METHOD } from '../fleet';
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
	| { readonly kind: 'stepsOpen'; readonly steps: readonly string[] }
	| { readonly kind: 'undecided'; readonly places: readonly Undecided[] }
	| { readonly kind: 'alreadyReleased' }
	| { readonly kind: 'unknownJob' };

/** Closes a job: replaced parts end their lives with why, new ones begin in their places, reused ones carry on. */
export async function release(scope: ShopScope, userId: string, jobId: string, at = new Date()): Promise<Released> {
	const { model, ...result } = await releaseNow(scope, userId, jobId, at);
	if (model) await fitSoon(scope.shopId, model);
	return result;
}

function releaseNow(scope: ShopScope, userId: string, jobId: string, at: Date): Promise<Released & { model?: string }> {
	return inTransaction(scope, async (within): Promise<Released & { model?: string }> => {
		const held = await of(within, 'job').one({ id: jobId }, { lock: true });
		if (!held) return { kind: 'unknownJob' };
		if (held.releasedAt) return { kind: 'alreadyReleased' };
		const bench = (await benchOf(within, jobId))!;
		const { steps, parts } = fold(bench.entries);
		const open = stepsInScope(bench.sheet, bench.job).filter(({ key }) => !steps.has(key));
		if (open.length > 0) return { kind: 'stepsOpen', steps: open.map(({ text }) => text) };
		const { undecided, replaced } = outcome(bench, parts);
		if (undecided.length > 0) return { kind: 'undecided', places: undecided };
		await replaceParts(within, bench.job, replaced);
		const { policy, gauges, fleet } = bench;
		await of(within, 'job').change(
			{ id: jobId },
			{ releasedAt: at, releasedBy: userId, restedOn: { policy, gauges, fleet, method: METHOD } }
		);
		const { model } = bench.job;
		return { kind: 'released', replaced: replaced.length, reused: bench.cells.length - replaced.length, model };
	});
}

/** Who is to go and who to stay, by the decisions that stand. */
function outcome(bench: Bench, parts: JobState['parts']): { undecided: Undecided[]; replaced: Replacement[] } {
	const undecided: Undecided[] = [];
	const replaced: Replacement[] = [];
	for (const { cell, station, record, judgement } of judgeMat(bench, parts)) {
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
