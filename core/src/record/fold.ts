import type { Decision, Entry, EntryOf, Finding, Fitted, Mark, Reading } from './entry';

/** What the log says of one part. Withdrawn entries are gone; of findings of one pattern the last stands. */
export interface PartRecord {
	readonly findings: readonly Finding[];
	/** The last "nothing found", if no finding came after it. */
	readonly clean?: EntryOf<'clean'>;
	readonly readings: readonly Reading[];
	/** Sizes of the part that replaces it, the last of each characteristic. */
	readonly fitted: readonly Fitted[];
	/** Marks painted on its unrolled surface. */
	readonly marks: readonly Mark[];
	/** All decisions in order of time: the last stands, the others stay visible. */
	readonly decisions: readonly Decision[];
	readonly notes: readonly EntryOf<'note'>[];
}

export interface JobState {
	readonly parts: ReadonlyMap<string, PartRecord>;
	readonly steps: ReadonlyMap<string, EntryOf<'step'>>;
	readonly notes: readonly EntryOf<'note'>[];
	readonly corrections: readonly EntryOf<'correction'>[];
	/** Ids of entries that were taken back. */
	readonly withdrawn: ReadonlySet<string>;
}

/** A part of which the log says nothing yet. */
export const untouched: PartRecord = { findings: [], readings: [], fitted: [], marks: [], decisions: [], notes: [] };

/** Order of the log: by the moment it was recorded, then by id, so that every reader agrees. */
export const inLogOrder = (a: Entry, b: Entry): number =>
	a.at === b.at ? (a.id < b.id ? -1 : a.id > b.id ? 1 : 0) : a.at < b.at ? -1 : 1;

/**
 * The state of a job from its bench log.
 *
 * Shape: entries of one job, in any order, repeated ones allowed: the result is the same for the same set, so two
 * technicians and a tablet that was off the network merge by set union. A withdraw counts even where the entry that it
 * takes back is not there yet.
 */
export function fold(entries: Iterable<Entry>): JobState {
	const byId = new Map([...entries].map((entry) => [entry.id, entry]));
	const all = [...byId.values()].sort(inLogOrder);
	const withdrawn = withdrawnIds(all);
	const standing = all.filter((entry) => !withdrawn.has(entry.id));
	const parts = new Map<string, PartRecord>();
	const steps = new Map<string, EntryOf<'step'>>();
	for (const entry of standing) {
		if (entry.kind === 'step') steps.set(entry.payload.step, entry);
		if ('part' in entry && entry.part) parts.set(entry.part, add(parts.get(entry.part) ?? untouched, entry));
	}
	return {
		parts,
		steps,
		withdrawn,
		notes: standing.filter((entry) => entry.kind === 'note').filter((note) => !note.part),
		corrections: standing.filter((entry) => entry.kind === 'correction')
	};
}

// A withdraw can itself be withdrawn (redo): walking backwards, the last word is read first.
function withdrawnIds(ordered: readonly Entry[]): Set<string> {
	const withdrawn = new Set<string>();
	for (const entry of [...ordered].reverse()) {
		const target = entry.kind === 'withdraw' || entry.kind === 'correction' ? entry.payload.entry : undefined;
		if (target && !withdrawn.has(entry.id)) withdrawn.add(target);
	}
	return withdrawn;
}

function add(record: PartRecord, entry: Entry): PartRecord {
	switch (entry.kind) {
		case 'finding': {
			const others = record.findings.filter((finding) => finding.payload.pattern !== entry.payload.pattern);
			return { ...record, findings: [...others, entry], clean: undefined };
		}
		case 'clean':
			return { ...record, findings: [], clean: entry };
		case 'reading':
			return { ...record, readings: [...record.readings, entry] };
		case 'fitted': {
			const others = record.fitted.filter(({ payload }) => payload.characteristic !== entry.payload.characteristic);
			return { ...record, fitted: [...others, entry] };
		}
		case 'mark':
			return { ...record, marks: [...record.marks, entry] };
		case 'decision':
			return { ...record, decisions: [...record.decisions, entry] };
		case 'note':
			return { ...record, notes: [...record.notes, entry] };
		default:
			return record;
	}
}

/** The decision that stands, if any. */
export const standingDecision = (record: PartRecord): Decision | undefined => record.decisions.at(-1);

/** True where somebody has looked: a finding, or "nothing found". */
export const isLookedAt = (record: PartRecord): boolean => record.clean !== undefined || record.findings.length > 0;
