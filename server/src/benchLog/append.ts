import {
	checkEntry,
	entrySchema,
	gaugeOf,
	kindsInOrder,
	kindsTakingBack,
	type Entry,
	type EntryAnswer,
	type RefusedBecause
} from '@exetasis/core/record';
import { validate } from 'uuid';
import { may } from '../access';
import type { SignedIn } from '../auth/auth';
import { codeOf, inTransaction, of, retried, type ShopScope } from '../db/scope';
import { appendEntries } from '../db/sql/appendEntries';
import { lockWithdrawals } from '../db/sql/lockWithdrawals';
import { log } from '../serverLog';
import { photosThere } from '../photos/photos';
import { factsOf, type BatchFacts } from './factsOf';
import { isLate } from './late';
import { projectWithdrawn } from './withdrawals';

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
	const job = await factsOf(scope, jobId, spokenOf(batch));
	if (!job) return undefined;
	const formed = batch.map((raw) => check(raw, jobId, user, job));
	const photos = formed.flatMap(({ entry }) => (entry?.kind === 'photo' ? [entry] : []));
	const there = await photosThere(scope, jobId, photos);
	const checked = formed.map((input) => withItsPhoto(input, there));
	const good = checked.flatMap((input) => (input.entry ? [input.entry] : []));
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

const ofProving: readonly Entry['kind'][] = ['proof'];

// Of the mat and the gauges only those that are spoken of.
function spokenOf(batch: readonly unknown[]): Parameters<typeof factsOf>[2] {
	const payloads = batch.map((raw) => (raw as { payload?: unknown } | null)?.payload);
	const kinds = new Set(batch.map((raw) => (raw as { kind?: unknown } | null)?.kind));
	return {
		parts: batch.flatMap((raw) => uuidAt(raw, 'part')),
		gauges: payloads.flatMap((payload) => [...uuidAt(payload, 'gauge'), ...uuidAt(payload, 'wrench')]),
		building: [...kindsInOrder, ...ofProving].some((kind) => kinds.has(kind))
	};
}

interface Checked {
	/** As the client wrote it. */
	readonly id: string;
	readonly entry?: Entry;
	readonly problem?: RefusedBecause;
	readonly repeated?: boolean;
}

function check(raw: unknown, jobId: string, user: SignedIn, job: BatchFacts): Checked {
	const id = typeof raw === 'object' && raw !== null && 'id' in raw && typeof raw.id === 'string' ? raw.id : '';
	const parsed = entrySchema.safeParse(raw);
	if (!parsed.success) {
		const [issue] = parsed.error.issues;
		return { id, problem: { code: 'malformed', path: issue.path.join('.'), message: issue.message } };
	}
	const entry = parsed.data;
	if (entry.by !== user.id) return { id, problem: { code: 'notYours' } };
	if (entry.job !== jobId) return { id, problem: { code: 'otherJob' } };
	// What is there already is not checked again: a bolt that is tight would be refused as tightened twice.
	if (job.passed.has(entry.id)) return { id, repeated: true };
	const holdOrder = !isLate(entry, Date.now());
	const problem = refusal(entry, user, job) ?? checkEntry(entry, { ...job, holdOrder });
	if (problem) return { id, problem };
	job.passed.add([entry]);
	return { id, entry };
}

function refusal(entry: Entry, user: SignedIn, job: BatchFacts): RefusedBecause | undefined {
	const correction = entry.kind === 'correction';
	if (correction && !may(user.role, 'manage')) return { code: 'leadOnly' };
	if (job.released && !correction) return { code: 'released' };
	const gauge = gaugeOf(entry);
	return gauge && !job.gauges.has(gauge) ? { code: 'unknownGauge' } : undefined;
}

// An entry that speaks of a photograph comes after its bytes.
const withItsPhoto = (input: Checked, there: ReadonlySet<string>): Checked =>
	input.entry?.kind === 'photo' && !there.has(input.entry.payload.sha256)
		? { id: input.id, problem: { code: 'photoMissing' } }
		: input;

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

const takesBack = ({ kind }: Pick<Entry, 'kind'>): boolean => kindsTakingBack.includes(kind);

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
