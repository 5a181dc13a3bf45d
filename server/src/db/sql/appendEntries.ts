import type { Entry } from '@exetasis/core/record';
import type { ShopScope } from '../scope';
import { insertInto, projections } from './projections';
import { rows } from './statement';

/**
 * Adds entries to a job's log with their projections, and tells the nodes: one statement, so that an entry is never there
 * by half. What was there already is neither added nor projected twice. The job's row is held against a release in the
 * same moment, not against other writers. In the order of their ids, so that two batches cannot wait for each other in a
 * circle. A history that is loaded arrives as it was recorded. Answers with what was added.
 */
export const appendEntries = (
	scope: ShopScope,
	jobId: string,
	entries: readonly Entry[],
	asRecorded = false
): Promise<{ id: string; kind: Entry['kind'] }[]> =>
	rows(
		scope,
		`
		WITH batch AS (
			SELECT *, least(at + coalesce("offsetMs", 0) * interval '1 millisecond', clock_timestamp()) AS effective
			FROM jsonb_to_recordset($3::jsonb) AS e(id uuid, part uuid, kind text, payload jsonb, by text, at timestamptz,
				"offsetMs" bigint, seq bigint)
		), held AS (
			SELECT released_at IS NOT NULL AS released FROM job WHERE shop_id = $1 AND id = $2 FOR SHARE
		), added AS (
			INSERT INTO log_entry (id, shop_id, job_id, part_id, kind, payload, by, at, offset_ms, client_seq, effective_at, received_at)
			SELECT id, $1::uuid, $2::uuid, part, kind, payload, by, at, "offsetMs", seq, effective,
				CASE WHEN $4 THEN effective ELSE clock_timestamp() END
			FROM batch JOIN held ON kind = 'correction' OR NOT held.released ORDER BY id
			ON CONFLICT (shop_id, id) DO NOTHING RETURNING *
		), ${projections.map((projection) => `${projection.table}_rows AS (${insertInto(projection, 'added')})`).join(', ')}, told AS (
			SELECT pg_notify('bench_log', jsonb_build_object('shop', $1::uuid, 'job', $2::uuid, 'from', min(seq), 'to', max(seq))::text)
			FROM added HAVING count(*) > 0
		)
		SELECT added.id, added.kind FROM added LEFT JOIN told ON true`,
		[jobId, JSON.stringify(entries), asRecorded]
	);
