import type { Answer } from './kinds/answer';
import type { Arrived } from './kinds/arrived';
import type { FoundSo } from './kinds/asFound';
import type { Cleaned } from './kinds/clean';
import type { Correction } from './kinds/correction';
import type { CylinderDone } from './kinds/cylinderDone';
import type { Decisions } from './kinds/decision';
import type { FittedSizes } from './kinds/fitted';
import type { Marks } from './kinds/mark';
import type { Note, Notes } from './kinds/note';
import type { Photo, Photos } from './kinds/photo';
import type { Proof } from './kinds/proof';
import type { PutBack } from './kinds/putIn';
import type { Readings } from './kinds/reading';
import type { StepDone } from './kinds/step';
import type { Tightenings } from './kinds/tightened';
import type { UnitIn } from './kinds/unitIn';

/** What the log says of one part. Withdrawn entries are gone; of findings of one pattern the last stands. */
export interface PartRecord
	extends FoundSo, Cleaned, Readings, FittedSizes, Marks, Decisions, PutBack, Tightenings, Notes, Photos {
	/** The ids of the entries that it rests on, in their order: two records of one part with one version are alike. */
	readonly version: string;
}

/** What the log of a job says. */
export interface JobState {
	readonly parts: ReadonlyMap<string, PartRecord>;
	readonly steps: ReadonlyMap<string, StepDone>;
	/** Steps that are repeated, with the cylinders at which they are done. */
	readonly cylindersDone: ReadonlyMap<string, ReadonlyMap<number, CylinderDone>>;
	/** Answers to what steps ask, by `askKey`; the last stands. */
	readonly answers: ReadonlyMap<string, Answer>;
	/** Sub-assemblies that are in, by `unitPlace`. */
	readonly unitsIn: ReadonlyMap<string, UnitIn>;
	readonly notes: readonly Note[];
	/** Photographs of no part: of the connections, of the pump as it stood. */
	readonly photos: readonly Photo[];
	/** What has come in for the job, in the order of the log. */
	readonly arrivals: readonly Arrived[];
	/** What was measured and seen while the pump was proved, in the order of the log. */
	readonly proofs: readonly Proof[];
	readonly corrections: readonly Correction[];
	/** Ids of entries that were taken back. */
	readonly withdrawn: ReadonlySet<string>;
}

type Open<T> = T extends ReadonlyMap<infer K, infer V> ? Map<K, V> : T extends readonly (infer V)[] ? V[] : T;

/** The state of a job while entries are added to it. */
export type OpenState = { readonly [F in keyof Omit<JobState, 'withdrawn'>]: Open<JobState[F]> };

/** The state of a job of which the log says nothing yet. */
export const emptyState = (): OpenState => ({
	parts: new Map(),
	steps: new Map(),
	cylindersDone: new Map(),
	answers: new Map(),
	unitsIn: new Map(),
	notes: [],
	photos: [],
	arrivals: [],
	proofs: [],
	corrections: []
});

/** A part of which the log says nothing yet. */
export const untouched: PartRecord = {
	version: '',
	findings: [],
	readings: [],
	fitted: [],
	marks: [],
	decisions: [],
	tightened: [],
	notes: [],
	photos: []
};
