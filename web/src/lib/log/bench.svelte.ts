import { getContext, setContext } from 'svelte';
import { v7 as uuidv7 } from 'uuid';
import { judge, type Judgement } from '@exetasis/core/decide';
import { LifeContext } from '@exetasis/core/life';
import {
	blockedBy,
	builtSteps,
	effectiveTime,
	facesUp,
	fold,
	isInspected,
	piecesInPump,
	reconcile,
	standingDecision,
	stationsInScope,
	stepsInScope,
	together,
	uncleaned,
	type Entry,
	type EntryOf,
	type PartRecord,
	type Station,
	type Step
} from '@exetasis/core/record';
import type { Bench } from '@exetasis/server/jobs/bench';
import {
	judgeInput,
	judgeMat,
	matePlaces,
	matesAt,
	placeKey,
	type JudgedPart,
	type LaidPart
} from '@exetasis/core/mat';
import { clock } from './clock';
import { Follower } from './follow.svelte';
import type { Kept, Outbox } from './outbox.svelte';
import type { Picture } from './photo';

/** One part on the mat with all that is known and judged of it. */
export interface BenchPart extends JudgedPart {
	readonly inspected: boolean;
}

type Stamp = 'id' | 'job' | 'by' | 'at' | 'offsetMs' | 'seq' | 'effectiveAt';
/** An entry as it is drafted: who, when and its id are stamped on when it is recorded. */
export type NewEntry = Entry extends infer E ? (E extends Entry ? Omit<E, Stamp> : never) : never;

/** One job on the bench, as this browser has it: the log as far as it is known, and what follows from it. */
export class BenchState {
	#bench = $state.raw() as Bench;
	readonly user: string;
	/** What the forecasts of the parts have in common. */
	readonly context = new LifeContext();
	readonly stations = $derived.by((): readonly Station[] => stationsInScope(this.bench.sheet, this.bench.job));
	readonly outbox: Outbox | undefined;
	readonly follower: Follower;
	#entries = $state.raw<ReadonlyMap<string, Entry>>(new Map());
	/** By kind of gauge, the one last used: it stays in hand for the next part. */
	gaugeInHand = $state<Record<string, string>>({});

	// What this browser has recorded and the server would not take; one word, so that only a change of it is felt.
	readonly #refused = $derived.by(() => {
		const aside = this.outbox?.setAside.filter(({ job }) => job === this.bench.job.id).map(({ id }) => id) ?? [];
		return [...aside, ...(this.outbox?.discarded ?? [])].join();
	});
	readonly log = $derived.by(() => fold([...this.#all.values()].filter(({ id }) => !this.#refused.includes(id))));
	/** Steps without which the pump is not safe to work on and that no one has signed off. */
	readonly blocked = $derived.by(() => blockedBy(stepsInScope(this.bench.sheet, this.bench.job), this.log.steps));
	/** Cleaning steps that no one has signed off: until then no part is called clean. */
	readonly uncleaned = $derived.by(() => uncleaned(stepsInScope(this.bench.sheet, this.bench.job), this.log.steps));
	/** Parts out against parts that the pump has. */
	readonly piecesOut = $derived.by(() =>
		reconcile(this.bench.sheet, this.bench.job, this.log, (station, cylinder) =>
			this.partIds.get(placeKey(station, cylinder))
		)
	);
	/** As many pieces as a count of a step should find. Coming out, those that were not there are not looked for. */
	piecesDue({ stage }: Pick<Step, 'stage'>, station: string): number {
		const out = this.piecesOut.find((pieces) => pieces.station.key === station)?.expected;
		return (stage === 'build' ? undefined : out) ?? piecesInPump(this.bench.sheet, station, this.bench.job);
	}
	/** The plan by which the pump goes together, and what is in. */
	readonly build = $derived.by(() => together(this.bench.sheet, this.bench.job, this.bench.cells, this.log));
	/** Keys of the build steps that are done. */
	readonly built = $derived.by(() => builtSteps(this.build, this.log.answers));
	/** Assemblies that lie otherwise than the steps left them, because someone has turned them over here. */
	turnedOver = $state<Record<string, boolean>>({});
	/** Which face of each assembly lies up now. */
	readonly up = $derived.by(() => {
		const { sheet, job } = this.bench;
		const laid = facesUp(sheet.assemblies, stepsInScope(sheet, job), this.log.steps);
		for (const [key, face] of laid) if (this.turnedOver[key]) laid.set(key, face === 'P' ? 'C' : 'P');
		return laid;
	});
	#records: ReadonlyMap<string, PartRecord> = new Map();
	readonly #judged = new Map<string, { part: LaidPart; mates: readonly LaidPart[]; judgement: Judgement }>();
	#shown: ReadonlyMap<string, BenchPart> = new Map();
	/** By place, the part that lies there. */
	readonly partIds = $derived.by(
		(): ReadonlyMap<string, string> =>
			new Map(this.bench.cells.map(({ part, station, cylinder }) => [placeKey(station, cylinder), part]))
	);
	/** By place, the places of the parts that one runs with. */
	readonly mates = $derived.by(() => matePlaces(this.bench));

	/** All parts of the mat by place. What has not changed stays the very same object, so that only its cell is drawn again. */
	readonly parts = $derived.by(() => {
		this.#records = new Map(
			[...this.log.parts].map(([part, record]) => {
				const before = this.#records.get(part);
				return [part, before?.version === record.version ? before : record];
			})
		);
		const judged = judgeMat(this.bench, this.#records, this.mates, (part, mates) => this.#judge(part, mates));
		const before = this.#shown;
		this.#shown = new Map(
			judged.map((part) => {
				const place = placeKey(part.cell.station, part.cell.cylinder);
				const known = before.get(place);
				const same = known?.judgement === part.judgement && known.record === part.record;
				return [place, same ? known : { ...part, inspected: isInspected(part.record) }];
			})
		);
		return this.#shown;
	});

	// What still waits in this browser lies on the mat already, also after a reload.
	readonly #all = $derived.by(() => {
		const waiting = this.outbox?.ofJob(this.bench.job.id).filter(({ id }) => !this.#entries.has(id)) ?? [];
		return waiting.length === 0 ? this.#entries : new Map([...this.#entries, ...waiting.map(entryById)]);
	});

	constructor(bench: Bench, user: string, outbox?: Outbox) {
		this.#bench = bench;
		this.user = user;
		this.#entries = new Map(bench.entries.map((entry) => [entry.id, entry]));
		this.outbox = outbox;
		this.follower = new Follower(bench.job.id, (entries) => this.merge(entries));
	}

	get bench(): Bench {
		return this.#bench;
	}
	/** Goes on with more parts on the mat, or more sizes of them; what was recorded stays. */
	grow(bench: Bench): void {
		this.#judged.clear();
		this.#shown = new Map();
		this.#bench = bench;
	}

	// A part is judged again only where its own record or a mate's has changed.
	#judge(part: LaidPart, mates: readonly LaidPart[]): Judgement {
		const before = this.#judged.get(part.cell.part);
		const same =
			before && before.part.record === part.record && before.mates.every((mate, i) => mate.record === mates[i].record);
		if (same) return before.judgement;
		const judgement = judge(judgeInput(this.bench, part, mates, this.context));
		this.#judged.set(part.cell.part, { part, mates, judgement });
		return judgement;
	}

	/** Adds entries from wherever they come: the same entry twice changes nothing, but that the server's word on its moment counts. */
	merge(entries: readonly Entry[]): void {
		const fresh = entries.filter((entry) => {
			const known = this.#entries.get(entry.id);
			return !known || effectiveTime(known) !== effectiveTime(entry);
		});
		if (fresh.length === 0) return;
		this.#entries = new Map([...this.#entries, ...fresh.map((entry) => [entry.id, entry] as const)]);
	}

	/** The parts that one runs with. */
	matesOf = ({ cell }: BenchPart): BenchPart[] => matesAt(this.mates, cell, this.parts);

	/** Records entries: at once on this screen, then in the browser's database, then on the server. */
	record(...drafts: NewEntry[]): Entry[] {
		if (drafts.length === 0) return [];
		const common = { job: this.bench.job.id, by: this.user };
		const stamps = clock.stamps(drafts.length);
		const entries = drafts.map((draft, index) => ({ ...draft, ...common, ...stamps[index], id: uuidv7() }) as Entry);
		this.merge(entries);
		// Where the browser keeps nothing just now it stays in memory, and is sent all the same.
		void this.outbox?.put(this.bench.job.serial, entries).catch(() => undefined);
		return entries;
	}

	/** Records a photograph of a part, or of the job where none is named: its bytes are safe in this browser before its entry is there. */
	async photograph(
		{ part, ofNew = false }: { readonly part?: string; readonly ofNew?: boolean },
		{ sha256, width, height, ...bytes }: Picture
	): Promise<void> {
		await this.outbox?.hold({ sha256, width, height, ...bytes }).catch(() => undefined); // then it is held in memory
		this.record({
			kind: 'photo',
			...(part ? { part } : {}),
			payload: { sha256, width, height, ...(ofNew ? { of: 'newPart' as const } : {}) }
		});
	}

	/** Takes an entry back: it stays in the log and counts no more. */
	withdraw(entry: Entry, why: string): void {
		this.record({ kind: 'withdraw', payload: { entry: entry.id, why } });
	}

	/** What this person recorded here last and what still counts, for undo: one entry, or all of one act for many parts. */
	readonly lastAct = $derived.by((): readonly Entry[] => {
		const own = [...this.#all.values()].filter(
			({ id, by, kind }) =>
				by === this.user &&
				kind !== 'withdraw' &&
				kind !== 'correction' &&
				!this.log.withdrawn.has(id) &&
				!this.#refused.includes(id)
		);
		const at = own.at(-1)?.at;
		return own.filter((entry) => entry.at === at);
	});

	/** Takes back what this person recorded last. */
	undo(): void {
		const drafts = this.lastAct.map(({ id }) => ({ kind: 'withdraw' as const, payload: { entry: id, why: 'undone' } }));
		this.record(...drafts);
	}

	/** Marks a pattern on a part, makes it worse (slight → moderate → severe), and at the fourth time takes it off. */
	cyclePattern({ cell, record }: BenchPart, pattern: EntryOf<'finding'>['payload']['pattern']): void {
		const standing = record.findings.find((finding) => finding.payload.pattern === pattern);
		const severity = standing?.payload.severity;
		if (standing && severity === 3) return this.withdraw(standing, 'marked by mistake');
		const next = severity === undefined ? 1 : severity === 1 ? 2 : 3;
		const onset = standing?.payload.onset ?? 'service';
		this.record({ kind: 'finding', part: cell.part, payload: { pattern, severity: next, onset } });
	}
}

const entryById = ({ entry }: Kept) => [entry.id, entry] as const;

/** What is proposed, or what was decided where someone has. */
export const verdictOf = ({ record, judgement }: BenchPart) =>
	standingDecision(record)?.payload.verdict ?? judgement.verdict;

const KEY = Symbol('bench');
export const provideBench = (bench: () => BenchState): void => void setContext(KEY, bench);
export const benchInUse = (): (() => BenchState) => getContext(KEY);
