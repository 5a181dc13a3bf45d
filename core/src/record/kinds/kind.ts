import type { z } from 'zod';
import type { JobFacts } from '../jobFacts';
import { untouched, type OpenState, type PartRecord } from '../jobState';
import type { EntryProblem } from '../problem';
import { stationsInScope, stepsInScope, type Station } from '../sheet';
import { blockedBy } from '../stepOrder';

/** What differs between kinds of entries. All else that handles entries asks their kind. */
export interface EntryKind<S extends z.ZodType> {
	readonly schema: S;
	/** Adds what the entry says to the state of its job. */
	readonly add: (log: OpenState, entry: z.infer<S>) => void;
	/** Why the entry does not fit its job. */
	readonly check: (entry: z.infer<S>, job: JobFacts) => EntryProblem | undefined;
	/** Whether it says how far the pump is together. */
	readonly bearsOnBuild: boolean;
	/** Whether the server holds the order in which it is recorded. */
	readonly ordered: boolean;
	/** The gauge that was read, if one is stated. */
	readonly gauge: (entry: z.infer<S>) => string | undefined;
	/** The entry that it takes back, if any. */
	readonly takesBack?: (entry: z.infer<S>) => string | undefined;
}

type Optional = 'check' | 'bearsOnBuild' | 'ordered' | 'gauge';
type Own<S extends z.ZodType> = Omit<EntryKind<S>, Optional> & Partial<Pick<EntryKind<S>, Optional>>;

/** A kind of entries about the job as a whole. */
export const jobKind = <S extends z.ZodType>(own: Own<S>): EntryKind<S> => ({
	check: () => undefined,
	bearsOnBuild: false,
	ordered: false,
	gauge: () => undefined,
	...own
});

interface OfPart {
	readonly id: string;
	readonly part: string;
}

interface OwnOfPart<E> extends Omit<Own<z.ZodType<E>>, 'schema' | 'add' | 'check'> {
	readonly add: (record: PartRecord, entry: E) => PartRecord;
	/** Asked where the part is on the mat and the pump is made safe. */
	readonly check?: (entry: E, station: Station, job: JobFacts) => EntryProblem | undefined;
}

/** A kind of entries about one part. */
export const partKind = <E extends OfPart, S extends z.ZodType<E>>(
	schema: S & z.ZodType<E>,
	{ add, check = () => undefined, ...own }: OwnOfPart<E>
): EntryKind<S> =>
	jobKind<S>({
		...own,
		schema,
		add: (log, entry) => addToPart(log, entry, (record) => add(record, entry)),
		check: (entry, job) => checkOfPart(entry.part, job, (station) => check(entry, station, job))
	});

/** Adds an entry to what the log says of its part. */
export function addToPart({ parts }: OpenState, { id, part }: OfPart, add: (record: PartRecord) => PartRecord): void {
	const record = parts.get(part) ?? untouched;
	parts.set(part, { ...add(record), version: `${record.version}${id} ` });
}

/** Why nothing can be recorded of a part now, or why this cannot: it is not on the mat, or the pump is not made safe. */
export function checkOfPart(
	part: string,
	job: JobFacts,
	check: (station: Station) => EntryProblem | undefined = () => undefined
): EntryProblem | undefined {
	const key = job.stationOfPart.get(part);
	const station = stationsInScope(job.sheet, job).find((candidate) => candidate.key === key);
	return station ? (notSafe(job) ?? check(station)) : { code: 'unknownPart' };
}

/** Nothing is recorded of a pump that is not made safe. */
export function notSafe(job: JobFacts): EntryProblem | undefined {
	const [open] = job.holdOrder ? blockedBy(stepsInScope(job.sheet, job), job.log().steps) : [];
	return open && { code: 'notSafeYet', before: open.text };
}
