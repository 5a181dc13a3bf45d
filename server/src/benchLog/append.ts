import { groupBy } from '@exetasis/core/list';
import {
	askKey,
	checkEntry,
	effectiveTime,
	entrySchema,
	fold,
	together,
	type Entry,
	type EntryAnswer,
	type JobFacts,
	type ModelSheet,
	type Opening,
	type RefusedBecause,
	type Together,
	gaugeOf
} from '@exetasis/core/record';
import { validate } from 'uuid';
import { may } from '../access';
import type { SignedIn } from '../auth/auth';
import { codeOf, inTransaction, of, retried, type ShopScope } from '../db/scope';
import { appendEntries } from '../db/sql/appendEntries';
import { jobFacts } from '../db/sql/jobFacts';
import { lockWithdrawals } from '../db/sql/lockWithdrawals';
import { log } from '../serverLog';
import { photosThere } from '../photos/photos';
import { pinnedSheet } from '../sheets';
import { entriesOf, ofBuilding } from './entries';
import { isLate } from './late';
import { projectWithdrawn } from './withdrawals';

interface KnownJob extends Omit<JobFacts, 'holdOrder'> {
	readonly released: boolean;
	readonly gauges: ReadonlySet<string>;
	/** Grows with the steps of the batch. */
	readonly stepsDone: Map<string, number>;
	readonly cylindersDone: Map<string, Set<number>>;
	readonly answers: Set<string>;
	/** What of the batch has passed so far and bears on putting together. */
	readonly passed: Entry[];
}

/**
 * Adds a batch to a job's bench log: each entry is accepted, was there already, or is refused with why; one bad entry
 * does not hold up the others. Sending a batch again changes nothing. A history that is loaded (`asRecorded`) counts as arrived when it was
 * recorded. Undefined where the shop has no such job.
 */
export async function append(
	scope: ShopScope,
	user: SignedIn,
	jobId: string,
	batch: readonly unknown[],
	{ asRecorded = false }: { readonly asRecorded?: boolean } = {}
): Promise<EntryAnswer[] | undefined> {
	const job = await factsOf(scope, jobId, batch);
	if (!job) return undefined;
	const seen = new Set<string>();
	const formed = batch.map((raw) => check(raw, jobId, user, job, seen));
	const photos = formed.flatMap(({ entry }) => (entry?.kind === 'photo' ? [entry] : []));
	const there = await photosThere(scope, jobId, photos);
	const checked = formed.map((one) => withItsPhoto(one, there));
	const good = checked.flatMap((one) => (one.entry ? [one.entry] : []));
	const { added, refused } = await store(scope, jobId, good, asRecorded);
	const rest = good.filter(({ id }) => !added.has(id) && !refused.has(id));
	const known = await alreadyThere(scope, jobId, rest);
	// Neither taken nor there: released since it was checked, or its number belongs to another job of the shop.
	const elsewhere = rest.length > known.size && (await isReleased(scope, jobId)) ? 'released' : 'idTaken';
	return checked.map(({ id, entry, problem, repeated }): EntryAnswer => {
		if (!entry) return repeated ? { id, result: 'duplicate' } : { id, result: 'refused', problem: problem! };
		if (refused.has(entry.id)) return { id, result: 'refused', problem: { code: 'notStorable' } };
		if (added.has(entry.id)) return { id, result: 'accepted' };
		return known.has(entry.id) ? { id, result: 'duplicate' } : { id, result: 'refused', problem: { code: elsewhere } };
	});
}

const uuidAt = (raw: unknown, key: string): string[] => {
	const value = typeof raw === 'object' && raw !== null ? (raw as Record<string, unknown>)[key] : undefined;
	return typeof value === 'string' && validate(value) ? [value] : [];
};

// Of the mat and the gauges only those that are spoken of.
async function factsOf(scope: ShopScope, jobId: string, batch: readonly unknown[]): Promise<KnownJob | undefined> {
	const parts = batch.flatMap((raw) => uuidAt(raw, 'part'));
	const payloads = batch.map((raw) => (raw as { payload?: unknown } | null)?.payload);
	const gauges = payloads.flatMap((payload) => [...uuidAt(payload, 'gauge'), ...uuidAt(payload, 'wrench')]);
	const job = await jobFacts(scope, jobId, parts, gauges);
	if (!job) return undefined;
	const sheet = await pinnedSheet(scope, job.sheetId);
	const passed: Entry[] = [];
	const stepsDone = new Map(job.steps);
	return {
		released: job.released,
		scope: job.scope,
		variants: job.variants,
		arrival: job.arrival,
		sheet,
		passed,
		together: await buildingOf(scope, jobId, batch, { sheet, opening: job, passed, stepsDone }),
		stationOfPart: new Map(job.cells),
		gauges: new Set(job.gauges),
		stepsDone,
		cylindersDone: new Map(
			[...groupBy(job.cylinders, ([step]) => step)].map(([step, all]) => [step, new Set(all.map(([, at]) => at))])
		),
		answers: new Set(job.answers.map(([step, ask, cylinder]) => askKey(step, ask, cylinder ?? undefined)))
	};
}

// How far the pump is together, with what of this batch has passed: read only where the batch speaks of that.
async function buildingOf(
	scope: ShopScope,
	jobId: string,
	batch: readonly unknown[],
	{
		sheet,
		opening,
		passed,
		stepsDone
	}: { sheet: ModelSheet; opening: Opening; passed: readonly Entry[]; stepsDone: ReadonlyMap<string, number> }
): Promise<() => Together> {
	const speaks = batch.some((raw) =>
		['putIn', 'unitIn', 'tightened', 'step', 'proof'].includes(String((raw as { kind?: unknown } | null)?.kind))
	);
	const known = speaks ? await entriesOf(scope, jobId, { kinds: ofBuilding }) : [];
	const cells = speaks ? await of(scope, 'matCell').all({ jobId }) : [];
	const places = cells.map(({ partId: part, station, cylinder }) => ({ part, station, cylinder }));
	return () => together(sheet, opening, places, { ...fold([...known, ...passed]), steps: stepsDone });
}

interface Checked {
	/** As the client wrote it. */
	readonly id: string;
	readonly entry?: Entry;
	readonly problem?: RefusedBecause;
	readonly repeated?: boolean;
}

function check(raw: unknown, jobId: string, user: SignedIn, job: KnownJob, seen: Set<string>): Checked {
	const id = typeof raw === 'object' && raw !== null && 'id' in raw && typeof raw.id === 'string' ? raw.id : '';
	const parsed = entrySchema.safeParse(raw);
	if (!parsed.success) {
		const [issue] = parsed.error.issues;
		return { id, problem: { code: 'malformed', path: issue.path.join('.'), message: issue.message } };
	}
	const entry = parsed.data;
	const holdOrder = !isLate(entry, Date.now());
	const problem = refusal(entry, jobId, user, job) ?? checkEntry(entry, { ...job, holdOrder });
	if (problem) return { id, problem };
	if (seen.has(entry.id)) return { id, repeated: true };
	seen.add(entry.id);
	if (entry.kind === 'cylinderDone') {
		const { step, cylinder } = entry.payload;
		job.cylindersDone.set(step, (job.cylindersDone.get(step) ?? new Set()).add(cylinder));
	}
	if (entry.kind === 'step') job.stepsDone.set(entry.payload.step, effectiveTime(entry));
	if (ofBuilding.includes(entry.kind)) job.passed.push(entry);
	if (entry.kind === 'answer') {
		const { step, ask, cylinder } = entry.payload;
		job.answers.add(askKey(step, ask, cylinder));
	}
	return { id, entry };
}

function refusal(entry: Entry, jobId: string, user: SignedIn, job: KnownJob): RefusedBecause | undefined {
	if (entry.by !== user.id) return { code: 'notYours' };
	if (entry.job !== jobId) return { code: 'otherJob' };
	const correction = entry.kind === 'correction';
	if (correction && !may(user.role, 'manage')) return { code: 'leadOnly' };
	if (job.released && !correction) return { code: 'released' };
	const gauge = gaugeOf(entry);
	return gauge && !job.gauges.has(gauge) ? { code: 'unknownGauge' } : undefined;
}

// An entry that speaks of a photograph comes after its bytes.
const withItsPhoto = (one: Checked, there: ReadonlySet<string>): Checked =>
	one.entry?.kind === 'photo' && !there.has(one.entry.payload.sha256)
		? { id: one.id, problem: { code: 'photoMissing' } }
		: one;

interface Stored {
	readonly added: ReadonlySet<string>;
	/** What the database would not take, though it was well formed. */
	readonly refused: ReadonlySet<string>;
}

async function store(scope: ShopScope, jobId: string, entries: readonly Entry[], asRecorded: boolean): Promise<Stored> {
	if (entries.length === 0) return { added: new Set(), refused: new Set() };
	try {
		return { added: await insert(scope, jobId, entries, asRecorded), refused: new Set() };
	} catch (cause) {
		if (!isOfTheData(cause)) throw cause;
		if (entries.length === 1) {
			log.error({ err: cause, entry: entries[0].id, kind: entries[0].kind }, 'an entry could not be stored');
			return { added: new Set(), refused: new Set([entries[0].id]) };
		}
		const each: Stored[] = [];
		for (const entry of entries) each.push(await store(scope, jobId, [entry], asRecorded));
		return {
			added: new Set(each.flatMap(({ added }) => [...added])),
			refused: new Set(each.flatMap(({ refused }) => [...refused]))
		};
	}
}

// PostgreSQL's classes of data exceptions and broken constraints: the entry's fault, not the connection's.
const isOfTheData = (cause: unknown): boolean => /^2[23]/.test(codeOf(cause) ?? '');

const takesBack = ({ kind }: { kind: Entry['kind'] }): boolean => kind === 'withdraw' || kind === 'correction';

async function insert(
	scope: ShopScope,
	jobId: string,
	entries: readonly Entry[],
	asRecorded: boolean
): Promise<Set<string>> {
	// One statement is a transaction by itself; only what takes entries back writes twice.
	if (!entries.some(takesBack)) {
		const added = await retried(() => appendEntries(scope, jobId, entries, asRecorded));
		return new Set(added.map(({ id }) => id));
	}
	return inTransaction(scope, async (within) => {
		await lockWithdrawals(within, jobId);
		const added = await appendEntries(within, jobId, entries, asRecorded);
		if (added.some(takesBack)) await projectWithdrawn(within, jobId);
		return new Set(added.map(({ id }) => id));
	});
}

async function isReleased(scope: ShopScope, jobId: string): Promise<boolean> {
	return (await of(scope, 'job').one({ id: jobId }, { attributes: ['releasedAt'] }))?.releasedAt != null;
}

async function alreadyThere(scope: ShopScope, jobId: string, entries: readonly Entry[]): Promise<Set<string>> {
	if (entries.length === 0) return new Set();
	const known = await of(scope, 'logEntry').all({ jobId, id: entries.map(({ id }) => id) }, { attributes: ['id'] });
	return new Set(known.map(({ id }) => id));
}
