import { getContext, setContext } from 'svelte';
import { v7 as uuidv7 } from 'uuid';
import { judge, type Judgement } from '@exetasis/core/decide';
import {
	fold,
	isLookedAt,
	standingDecision,
	stationsInScope,
	type Entry,
	type EntryOf,
	type PartRecord,
	type Station
} from '@exetasis/core/record';
import type { Bench } from '@exetasis/server/jobs/bench';
import { judgeInput, judgeMat, matePlaces, matesAt, type JudgedPart, type LaidPart } from '@exetasis/core/mat';
import { placeKey } from '@exetasis/core/mat';
import { Outbox, type Refusal } from './outbox.svelte';

/** One part on the mat with all that is known and judged of it. */
export interface BenchPart extends JudgedPart {
	readonly looked: boolean;
}

type NewEntry = Entry extends infer E ? (E extends Entry ? Omit<E, 'id' | 'job' | 'by' | 'at'> : never) : never;

/** One job on the bench, as this browser has it: the log as far as it is known, and what follows from it. */
export class BenchState {
	readonly bench: Bench;
	readonly user: string;
	readonly stations: readonly Station[];
	readonly outbox: Outbox;
	#entries = $state.raw<ReadonlyMap<string, Entry>>(new Map());
	refusals = $state.raw<readonly Refusal[]>([]);
	/** By kind of gauge, the one last used: it stays in hand for the next part. */
	gaugeInHand = $state<Record<string, string>>({});

	readonly log = $derived(fold(this.#entries.values()));
	#records: ReadonlyMap<string, PartRecord> = new Map();
	readonly #judged = new Map<string, { part: LaidPart; mates: readonly LaidPart[]; judgement: Judgement }>();
	#shown: ReadonlyMap<string, BenchPart> = new Map();
	/** By place, the places of the parts that one runs with. */
	readonly mates: ReadonlyMap<string, readonly string[]>;

	/** All parts of the mat by place. What has not changed stays the very same object, so that only its cell is drawn anew. */
	readonly parts = $derived.by(() => {
		this.#records = new Map(
			[...this.log.parts].map(([part, record]) => [part, sameOr(this.#records.get(part), record)])
		);
		const judged = judgeMat(this.bench, this.#records, this.mates, (part, mates) => this.#judge(part, mates));
		const before = this.#shown;
		this.#shown = new Map(
			judged.map((part) => {
				const place = placeKey(part.cell.station, part.cell.cylinder);
				const known = before.get(place);
				const same = known?.judgement === part.judgement && known.record === part.record;
				return [place, same ? known : { ...part, looked: isLookedAt(part.record) }];
			})
		);
		return this.#shown;
	});

	constructor(bench: Bench, user: string) {
		this.bench = bench;
		this.user = user;
		this.stations = stationsInScope(bench.sheet, bench.job.scope);
		this.mates = matePlaces(bench);
		this.#entries = new Map(bench.entries.map((entry) => [entry.id, entry]));
		this.outbox = new Outbox(bench.job.id, user, (refusal) => this.#refused(refusal));
	}

	// A part is judged anew only where its own record or a mate's has changed.
	#judge(part: LaidPart, mates: readonly LaidPart[]): Judgement {
		const before = this.#judged.get(part.cell.part);
		const same =
			before && before.part.record === part.record && before.mates.every((mate, i) => mate.record === mates[i].record);
		if (same) return before.judgement;
		const judgement = judge(judgeInput(this.bench, part, mates));
		this.#judged.set(part.cell.part, { part, mates, judgement });
		return judgement;
	}

	/** Follows the job: unsent entries of an earlier page first, then what others add. Call the result to stop. */
	follow(): () => void {
		let close: (() => void) | undefined;
		let stopped = false;
		void this.outbox.open().then((opened) => {
			this.merge(opened.left);
			if (stopped) opened.close();
			else close = opened.close;
		});
		const events = new EventSource(`/jobs/${this.bench.job.id}/events`);
		events.onmessage = ({ data }) => this.merge(JSON.parse(data) as Entry[]);
		return () => {
			stopped = true;
			events.close();
			close?.();
		};
	}

	/** Adds entries from wherever they come: the same entry twice changes nothing. */
	merge(entries: readonly Entry[]): void {
		const fresh = entries.filter(({ id }) => !this.#entries.has(id));
		if (fresh.length === 0) return;
		this.#entries = new Map([...this.#entries, ...fresh.map((entry) => [entry.id, entry] as const)]);
	}

	/** The parts that one runs with. */
	matesOf = ({ cell }: BenchPart): BenchPart[] => matesAt(this.mates, cell, this.parts);

	/** Records entries: at once on this screen, then in the browser's database, then on the server. */
	record(...drafts: NewEntry[]): Entry[] {
		const at = new Date().toISOString();
		const common = { job: this.bench.job.id, by: this.user, at };
		const entries = drafts.map((draft) => ({ ...draft, ...common, id: uuidv7() }) as Entry);
		this.merge(entries);
		void this.outbox.put(entries);
		return entries;
	}

	/** Takes an entry back: it stays in the log and counts no more. */
	withdraw(entry: Entry, why: string): void {
		this.record({ kind: 'withdraw', payload: { entry: entry.id, why } });
	}

	/** The last thing that this person recorded here and that still counts, for undo. */
	readonly lastOwn = $derived.by(() =>
		[...this.#entries.values()].findLast(
			({ id, by, kind }) =>
				by === this.user && kind !== 'withdraw' && kind !== 'correction' && !this.log.withdrawn.has(id)
		)
	);

	/** Marks a pattern on a part, makes it worse (slight → clear → severe), and at the fourth time takes it off. */
	cyclePattern({ cell, record }: BenchPart, pattern: EntryOf<'finding'>['payload']['pattern']): void {
		const standing = record.findings.find((finding) => finding.payload.pattern === pattern);
		const severity = standing?.payload.severity;
		if (standing && severity === 3) return this.withdraw(standing, 'marked by mistake');
		const next = severity === undefined ? 1 : severity === 1 ? 2 : 3;
		const onset = standing?.payload.onset ?? 'service';
		this.record({ kind: 'finding', part: cell.part, payload: { pattern, severity: next, onset } });
	}

	#refused(refusal: Refusal): void {
		const rest = new Map(this.#entries);
		rest.delete(refusal.entry.id);
		this.#entries = rest;
		this.refusals = [...this.refusals, refusal];
	}

	dismiss(refusal: Refusal): void {
		this.refusals = this.refusals.filter((one) => one !== refusal);
	}
}

/** What is proposed, or what was decided where somebody has. */
export const verdictOf = ({ record, judgement }: BenchPart) =>
	standingDecision(record)?.payload.verdict ?? judgement.verdict;

// The record as it was where nothing has been added or taken back, so that one can tell by a glance.
function sameOr(before: PartRecord | undefined, now: PartRecord): PartRecord {
	const ids = ({ findings, clean, readings, fitted, marks, decisions, notes }: PartRecord) =>
		[...findings, ...(clean ? [clean] : []), ...readings, ...fitted, ...marks, ...decisions, ...notes]
			.map(({ id }) => id)
			.join();
	return before && ids(before) === ids(now) ? before : now;
}

const KEY = Symbol('bench');
export const provideBench = (bench: () => BenchState): void => void setContext(KEY, bench);
export const benchInUse = (): (() => BenchState) => getContext(KEY);
