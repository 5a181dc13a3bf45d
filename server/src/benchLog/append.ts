import {
	checkEntry,
	entrySchema,
	fold,
	type Entry,
	type EntryAnswer,
	type JobFacts,
	type RefusedBecause
} from '@exetasis/core/record';
import { may } from '../access';
import type { SignedIn } from '../auth/auth';
import { inTransaction, row, rows, type ShopScope } from '../db/query';
import { pinnedSheet } from '../sheets';
import { entriesOf } from './entries';

interface KnownJob extends JobFacts {
	readonly released: boolean;
}

// What the check has to know; of the mat only the parts that are spoken of.
async function factsOf(scope: ShopScope, jobId: string, parts: readonly string[]): Promise<KnownJob | undefined> {
	const job = await row<{ released: boolean; scope: JobFacts['scope']; sheetId: string; cells: [string, string][] }>(
		scope,
		`
		SELECT j.released_at IS NOT NULL AS released, j.scope, j.model_sheet_id AS "sheetId",
			(SELECT coalesce(jsonb_agg(jsonb_build_array(c.part_id, c.station)), '[]') FROM mat_cell c
				WHERE c.job_id = j.id AND c.part_id::text = ANY($3)) AS cells
		FROM job j WHERE j.shop_id = $1 AND j.id = $2`,
		[jobId, parts]
	);
	if (!job) return undefined;
	const sheet = await pinnedSheet(scope, job.sheetId);
	return { released: job.released, scope: job.scope, sheet, stationOfPart: new Map(job.cells) };
}

const partIn = (raw: unknown): string[] =>
	typeof raw === 'object' && raw !== null && 'part' in raw && typeof raw.part === 'string' ? [raw.part] : [];

/**
 * Adds a batch to a job's bench log: each entry is accepted, was there already, or is refused with why; one bad entry
 * does not hold up the others. Sending a batch again changes nothing. Undefined where the shop has no such job.
 */
export function append(
	scope: ShopScope,
	user: SignedIn,
	jobId: string,
	batch: readonly unknown[]
): Promise<EntryAnswer[] | undefined> {
	const work = (within: ShopScope) => appendWithin(within, user, jobId, batch);
	// One statement is a transaction by itself; only what takes entries back writes twice.
	return batch.some(takesBack) ? inTransaction(scope, work) : work(scope);
}

const takesBack = (raw: unknown): boolean =>
	typeof raw === 'object' && raw !== null && 'kind' in raw && (raw.kind === 'withdraw' || raw.kind === 'correction');

async function appendWithin(
	scope: ShopScope,
	user: SignedIn,
	jobId: string,
	batch: readonly unknown[]
): Promise<EntryAnswer[] | undefined> {
	const job = await factsOf(scope, jobId, batch.flatMap(partIn));
	if (!job) return undefined;
	const checked = batch.map((raw) => check(raw, jobId, user, job));
	const good = checked.flatMap((one) => (one.entry ? [one.entry] : []));
	const inserted = await insert(scope, jobId, good);
	const rest = good.filter((entry) => !inserted.has(entry.id));
	const known = await alreadyThere(scope, jobId, rest);
	// Neither taken nor there: released since it was checked, or its number belongs to another job.
	const elsewhere = rest.length > known.size && (await factsOf(scope, jobId, []))?.released ? 'released' : 'idTaken';
	return checked.map(({ id, problem }) => {
		if (problem) return { id, result: 'refused', problem };
		if (inserted.has(id)) return { id, result: 'accepted' };
		return known.has(id) ? { id, result: 'duplicate' } : { id, result: 'refused', problem: { code: elsewhere } };
	});
}

function check(
	raw: unknown,
	jobId: string,
	user: SignedIn,
	job: KnownJob
): { id: string; entry?: Entry; problem?: RefusedBecause } {
	const id = typeof raw === 'object' && raw !== null && 'id' in raw ? String(raw.id) : '';
	const parsed = entrySchema.safeParse(raw);
	if (!parsed.success) {
		const [issue] = parsed.error.issues;
		return { id, problem: { code: 'malformed', path: issue.path.join('.'), message: issue.message } };
	}
	const entry = parsed.data;
	const problem = refusal(entry, jobId, user, job) ?? checkEntry(entry, job);
	return problem ? { id, problem } : { id, entry };
}

function refusal(entry: Entry, jobId: string, user: SignedIn, { released }: KnownJob): RefusedBecause | undefined {
	if (entry.by !== user.id) return { code: 'notYours' };
	if (entry.job !== jobId) return { code: 'otherJob' };
	const correction = entry.kind === 'correction';
	if (correction && !may(user.role, 'manage')) return { code: 'leadOnly' };
	return released && !correction ? { code: 'released' } : undefined;
}

// Log and projections in one statement; what was there already is not projected twice. The job's row is held against a
// release in the same moment, not against other writers.
async function insert(scope: ShopScope, jobId: string, entries: readonly Entry[]): Promise<Set<string>> {
	if (entries.length === 0) return new Set();
	const added = await rows<{ id: string; kind: string }>(
		scope,
		`
		WITH batch AS (
			SELECT * FROM jsonb_to_recordset($3::jsonb) AS e(id uuid, part uuid, kind text, payload jsonb, by text, at timestamptz)
		), held AS (
			SELECT released_at IS NOT NULL AS released FROM job WHERE shop_id = $1 AND id = $2 FOR SHARE
		), added AS (
			INSERT INTO log_entry (id, shop_id, job_id, part_id, kind, payload, by, at)
			SELECT id, $1::uuid, $2::uuid, part, kind, payload, by, at
			FROM batch JOIN held ON kind = 'correction' OR NOT held.released
			ON CONFLICT (id) DO NOTHING RETURNING *
		), looks AS (
			INSERT INTO look (entry_id, shop_id, job_id, part_id, pattern, severity, onset, at)
			SELECT id, shop_id, job_id, part_id, payload->>'pattern', (payload->>'severity')::smallint, payload->>'onset', at
			FROM added WHERE kind IN ('finding', 'clean')
		), readings AS (
			INSERT INTO reading (entry_id, shop_id, job_id, part_id, characteristic, station, angle, value, gauge_id)
			SELECT id, shop_id, job_id, part_id, payload->>'characteristic', (payload->>'station')::smallint,
				(payload->>'angle')::smallint, (payload->>'value')::double precision, (payload->>'gauge')::uuid
			FROM added WHERE kind = 'reading'
		), decisions AS (
			INSERT INTO decision (entry_id, shop_id, job_id, part_id, verdict, proposed, why, at)
			SELECT id, shop_id, job_id, part_id, payload->>'verdict', payload->>'proposed', payload->>'why', at
			FROM added WHERE kind = 'decision'
		), told AS (
			SELECT pg_notify('bench_log', jsonb_build_object('shop', $1::uuid, 'job', $2::uuid, 'from', min(seq), 'to', max(seq))::text)
			FROM added HAVING count(*) > 0
		)
		SELECT added.id, added.kind FROM added LEFT JOIN told ON true`,
		[jobId, JSON.stringify(entries)]
	);
	if (added.some(({ kind }) => kind === 'withdraw' || kind === 'correction')) await projectWithdrawn(scope, jobId);
	return new Set(added.map(({ id }) => id));
}

// Which entries are withdrawn is the log's own answer (a withdraw may be withdrawn), so it is asked of fold.
async function projectWithdrawn(scope: ShopScope, jobId: string): Promise<void> {
	const { withdrawn } = fold(await entriesOf(scope, jobId));
	for (const table of ['look', 'reading', 'decision']) {
		await rows(
			scope,
			`
			UPDATE ${table} SET withdrawn = (entry_id = ANY($3::uuid[]))
			WHERE shop_id = $1 AND job_id = $2 AND withdrawn <> (entry_id = ANY($3::uuid[])) RETURNING 1`,
			[jobId, [...withdrawn]]
		);
	}
}

async function alreadyThere(scope: ShopScope, jobId: string, entries: readonly Entry[]): Promise<Set<string>> {
	if (entries.length === 0) return new Set();
	const known = await rows<{ id: string }>(
		scope,
		'SELECT id FROM log_entry WHERE shop_id = $1 AND job_id = $2 AND id = ANY($3::uuid[])',
		[jobId, entries.map(({ id }) => id)]
	);
	return new Set(known.map(({ id }) => id));
}
