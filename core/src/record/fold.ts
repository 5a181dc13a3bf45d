import { effectiveTime, type Entry, type EntryOf } from './entry';
import { askKey, type Answer } from './kinds/answer';
import { addAsFound, foundWrong, type FoundSo } from './kinds/asFound';
import { addClean, type Cleaned } from './kinds/clean';
import { addDecision, type Decision, type Decisions } from './kinds/decision';
import { addFinding } from './kinds/finding';
import { addFitted, type FittedSizes } from './kinds/fitted';
import { addMark, type Marks } from './kinds/mark';
import { addNote, type Notes } from './kinds/note';
import { addPhoto, type Photos } from './kinds/photo';
import { addPutIn, type PutBack } from './kinds/putIn';
import { addReading, type Readings } from './kinds/reading';
import { addTightened, type Tightenings } from './kinds/tightened';
import { unitPlace, type UnitIn } from './kinds/unitIn';

/** What the log says of one part. Withdrawn entries are gone; of findings of one pattern the last stands. */
export interface PartRecord
	extends FoundSo, Cleaned, Readings, FittedSizes, Marks, Decisions, PutBack, Tightenings, Notes, Photos {}

export interface JobState {
	readonly parts: ReadonlyMap<string, PartRecord>;
	readonly steps: ReadonlyMap<string, EntryOf<'step'>>;
	/** Steps that are repeated, with the cylinders at which they are done. */
	readonly cylindersDone: ReadonlyMap<string, ReadonlyMap<number, EntryOf<'cylinderDone'>>>;
	/** Answers to what steps ask, by `askKey`; the last stands. */
	readonly answers: ReadonlyMap<string, Answer>;
	/** Sub-assemblies that are in, by `unitPlace`. */
	readonly unitsIn: ReadonlyMap<string, UnitIn>;
	readonly notes: readonly EntryOf<'note'>[];
	/** Photographs of no part: of the connections, of the pump as it stood. */
	readonly photos: readonly EntryOf<'photo'>[];
	/** What has come in for the job, in the order of the log. */
	readonly arrivals: readonly EntryOf<'arrived'>[];
	/** What was measured and seen while the pump was proved, in the order of the log. */
	readonly proofs: readonly EntryOf<'proof'>[];
	readonly corrections: readonly EntryOf<'correction'>[];
	/** Ids of entries that were taken back. */
	readonly withdrawn: ReadonlySet<string>;
}

/** A part of which the log says nothing yet. */
export const untouched: PartRecord = {
	findings: [],
	readings: [],
	fitted: [],
	marks: [],
	decisions: [],
	tightened: [],
	notes: [],
	photos: []
};

/**
 * Entries in the order of the log: by the moment that counts, then by the tablet's own count, then by id, so that every
 * reader agrees. Shape: any order; the argument is left as it is.
 */
export function inLogOrder(entries: Iterable<Entry>): Entry[] {
	// Each moment is read once: a log of hundreds is put in order at every key.
	const timed = [...entries].map((entry) => ({ entry, at: effectiveTime(entry) }));
	timed.sort(
		(a, b) =>
			a.at - b.at ||
			(a.entry.seq ?? 0) - (b.entry.seq ?? 0) ||
			(a.entry.id < b.entry.id ? -1 : a.entry.id > b.entry.id ? 1 : 0)
	);
	return timed.map(({ entry }) => entry);
}

/**
 * The state of a job from its bench log.
 *
 * Shape: entries of one job, in any order, repeated ones allowed: the result is the same for the same set, so two
 * technicians and a tablet that was off the network merge by set union. A withdraw counts even where the entry that it
 * takes back is not there yet.
 */
export function fold(entries: Iterable<Entry>): JobState {
	const all = inLogOrder(new Map([...entries].map((entry) => [entry.id, entry])).values());
	const withdrawn = withdrawnIds(all);
	const standing = all.filter((entry) => !withdrawn.has(entry.id));
	const parts = new Map<string, PartRecord>();
	const steps = new Map<string, EntryOf<'step'>>();
	const cylindersDone = new Map<string, Map<number, EntryOf<'cylinderDone'>>>();
	const answers = new Map<string, Answer>();
	const unitsIn = new Map<string, UnitIn>();
	for (const entry of standing) {
		if (entry.kind === 'step') steps.set(entry.payload.step, entry);
		if (entry.kind === 'cylinderDone') {
			const { step, cylinder } = entry.payload;
			cylindersDone.set(step, (cylindersDone.get(step) ?? new Map()).set(cylinder, entry));
		}
		if (entry.kind === 'answer') {
			const { step, ask, cylinder } = entry.payload;
			answers.set(askKey(step, ask, cylinder), entry);
		}
		if (entry.kind === 'unitIn') unitsIn.set(unitPlace(entry.payload.unit, entry.payload.cylinder), entry);
		if ('part' in entry && entry.part) parts.set(entry.part, add(parts.get(entry.part) ?? untouched, entry));
	}
	return {
		parts,
		steps,
		cylindersDone,
		answers,
		unitsIn,
		withdrawn,
		notes: standing.filter((entry) => entry.kind === 'note').filter((note) => !note.part),
		photos: standing.filter((entry) => entry.kind === 'photo').filter((photo) => !photo.part),
		arrivals: standing.filter((entry) => entry.kind === 'arrived'),
		proofs: standing.filter((entry) => entry.kind === 'proof'),
		corrections: standing.filter((entry) => entry.kind === 'correction')
	};
}

/**
 * Ids of what these entries take back. Only withdraws and corrections count, so that they alone may be given.
 * A withdraw can itself be withdrawn (redo): walking backwards, the last word is read first.
 *
 * Shape: entries of one job in log order.
 */
export function withdrawnIds(ordered: readonly Entry[]): Set<string> {
	const withdrawn = new Set<string>();
	for (const entry of [...ordered].reverse()) {
		const target = entry.kind === 'withdraw' || entry.kind === 'correction' ? entry.payload.entry : undefined;
		if (target && !withdrawn.has(entry.id)) withdrawn.add(target);
	}
	return withdrawn;
}

function add(record: PartRecord, entry: Entry): PartRecord {
	switch (entry.kind) {
		case 'asFound':
			return addAsFound(record, entry);
		case 'finding':
			return addFinding(record, entry);
		case 'clean':
			return addClean(record, entry);
		case 'reading':
			return addReading(record, entry);
		case 'fitted':
			return addFitted(record, entry);
		case 'mark':
			return addMark(record, entry);
		case 'decision':
			return addDecision(record, entry);
		case 'putIn':
			return addPutIn(record, entry);
		case 'tightened':
			return addTightened(record, entry);
		case 'note':
			return addNote(record, entry);
		case 'photo':
			return addPhoto(record, entry);
		case 'step':
		case 'cylinderDone':
		case 'answer':
		case 'unitIn':
		case 'proof':
		case 'arrived':
		case 'withdraw':
		case 'correction':
			return record;
	}
}

/** The decision that stands, if any. */
export const standingDecision = (record: PartRecord): Decision | undefined => record.decisions.at(-1);

/** True where somebody has looked: a finding, or "nothing found"; at what was not there nobody can. */
export const isLookedAt = (record: PartRecord): boolean =>
	record.clean !== undefined || record.findings.length > 0 || foundWrong(record).includes('missing');
