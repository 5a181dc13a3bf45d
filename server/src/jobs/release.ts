import { endReason } from '@exetasis/core/decide';
import { judgeMat, placeKey } from '@exetasis/core/mat';
import {
	BY_ITSELF,
	allSteps,
	builtSteps,
	heldByAnswers,
	fold,
	lastProofs,
	locksInForce,
	lostFragments,
	proveSteps,
	reconcile,
	standingDecision,
	stepsInScope,
	together,
	unproved,
	type JobState
} from '@exetasis/core/record';
import { may } from '../access';
import type { SignedIn } from '../auth/auth';
import type { Handover, StillToDo } from '../db/tables';
import { fitSoon } from '../background/queue';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { METHOD } from '../fleet';
import { replaceParts, type Replacement } from '../parts';
import { benchOf, type Bench } from './bench';
import { foreseen } from './forecasts';

/** A place whose part no one has decided on. */
interface Undecided {
	readonly station: string;
	readonly cylinder: number;
	readonly why: 'noDecision' | 'lookAgain';
}

export type Released =
	| { readonly kind: 'released'; readonly replaced: number; readonly reused: number }
	| { readonly kind: 'stepsOpen'; readonly steps: readonly string[] }
	| { readonly kind: 'undecided'; readonly places: readonly Undecided[] }
	/** It goes into service, and no one has said that hoses and covers are back. */
	| { readonly kind: 'notConnected' }
	/** Not all of it is put together and proved; a lead may let it go all the same, and says why. */
	| { readonly kind: 'notTogether'; readonly left: StillToDo }
	| { readonly kind: 'leadOnly' }
	| { readonly kind: 'shaftLocked'; readonly why: string }
	| { readonly kind: 'alreadyReleased' }
	| { readonly kind: 'unknownJob' };

interface Releasing {
	readonly at?: Date;
	/** Why it goes though not all of it is put together and proved: a lead's word. */
	readonly unbuilt?: string;
	/** Where it goes: onto the shelf where nothing is said. */
	readonly handover?: Handover;
}

/**
 * Closes a job once all of it is looked at, decided, put together and proved: replaced parts end their lives with why, new ones
 * begin in their places, reused ones carry on.
 */
export async function release(
	scope: ShopScope,
	user: Pick<SignedIn, 'id' | 'role'>,
	jobId: string,
	how: Releasing = {}
): Promise<Released> {
	// What lies ahead takes longest: it is worked out before the job is locked, and found again then.
	const ahead = await benchOf(scope, jobId);
	if (ahead && !ahead.job.releasedAt) await foreseen(scope.shopId, ahead);
	const { model, ...result } = await releaseNow(scope, user, jobId, how);
	if (model) await fitSoon(scope.shopId, model);
	return result;
}

function releaseNow(
	scope: ShopScope,
	user: Pick<SignedIn, 'id' | 'role'>,
	jobId: string,
	{ at = new Date(), unbuilt, handover = { to: 'shelf', connected: false } }: Releasing
): Promise<Released & { model?: string }> {
	return inTransaction(scope, async (within): Promise<Released & { model?: string }> => {
		const held = await of(within, 'job').one({ id: jobId }, { lock: true });
		if (!held) return { kind: 'unknownJob' };
		if (held.releasedAt) return { kind: 'alreadyReleased' };
		if (handover.to === 'service' && !handover.connected) return { kind: 'notConnected' };
		const bench = (await benchOf(within, jobId))!;
		const state = fold(bench.entries);
		const { steps } = state;
		const open = stepsInScope(bench.sheet, bench.job).filter(({ key }) => !steps.has(key));
		if (open.length > 0) return { kind: 'stepsOpen', steps: open.map(({ text }) => text) };
		const { undecided, replaced } = outcome(await foreseen(scope.shopId, bench), state);
		if (undecided.length > 0) return { kind: 'undecided', places: undecided };
		const notDone = stillToDo(bench, state);
		if (notDone && !unbuilt) {
			const [lock] = locksInForce(allSteps(bench.sheet, bench.job), steps);
			return lock ? { kind: 'shaftLocked', why: lock.text } : { kind: 'notTogether', left: notDone };
		}
		if (notDone && !may(user.role, 'manage')) return { kind: 'leadOnly' };
		await replaceParts(within, bench.job, replaced);
		const { policy, gauges, fleet } = bench;
		const releaseDespite = notDone ? { unbuilt: { why: unbuilt!, ...notDone } } : {};
		await of(within, 'job').change(
			{ id: jobId },
			{
				releasedAt: at,
				releasedBy: user.id,
				restedOn: { policy, gauges, fleet, method: METHOD, handover, ...releaseDespite }
			}
		);
		const { model } = bench.job;
		return { kind: 'released', replaced: replaced.length, reused: bench.cells.length - replaced.length, model };
	});
}

/** What is left of building and proving, in its order; undefined once nothing is. */
function stillToDo({ sheet, job, cells, policy, gauges }: Bench, state: JobState): StillToDo | undefined {
	const { steps, answers, proofs } = state;
	const build = together(sheet, job, cells, state);
	const built = builtSteps(build, answers);
	const open = build.steps.filter(({ key }) => !built.has(key));
	const prove = proveSteps(sheet, job).filter(({ key }) => !steps.has(key));
	const partAt = new Map(cells.map(({ station, cylinder, part }) => [placeKey(station, cylinder), part]));
	const left = {
		steps: [...open, ...prove].map(({ text }) => text),
		tests: [
			...lostFragments(reconcile(sheet, job, state, (station, cylinder) => partAt.get(placeKey(station, cylinder)))),
			...heldByAnswers(allSteps(sheet, job), answers),
			...unproved(sheet, lastProofs(proofs), gauges, policy)
		]
	};
	return left.steps.length + left.tests.length > 0 ? left : undefined;
}

/** Lot, supplier and kit of the bag that a station's new parts came out of, as far as someone has said: the last that came. */
function bag(arrivals: JobState['arrivals'], station: string): Pick<Replacement, 'lot' | 'supplier' | 'kit'> {
	const last = arrivals.findLast(({ payload }) => payload.station === station)?.payload;
	const kit = last?.kit ?? (last?.from === 'bought' ? BY_ITSELF : null);
	return { lot: last?.lot ?? null, supplier: last?.supplier ?? null, kit };
}

/** Who is to go and who to stay, by the decisions that stand. */
function outcome(bench: Bench, { parts, arrivals }: JobState): { undecided: Undecided[]; replaced: Replacement[] } {
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
				...bag(arrivals, key),
				asFitted: Object.fromEntries(record.fitted.map(({ payload }) => [payload.characteristic, payload.value]))
			});
		}
	}
	return { undecided, replaced };
}
