import type { ShopScope } from '../scope';
import { insertInto, projections } from './projections';
import { rows } from './statement';

/** An entry of another shop's log, as it stood there. */
interface ImportedEntry {
	readonly id: string;
	readonly part: string | null;
	readonly kind: string;
	readonly payload: unknown;
	readonly by: string;
	readonly at: string;
	readonly offsetMs: number | null;
	readonly seq: number | null;
	readonly effectiveAt: string | null;
	readonly receivedAt: string;
}

/** Writes a whole log into a job that has none, with its projections; moments stay as they were. Answers how many were written: ids that are taken are not. */
export const importEntries = async (
	scope: ShopScope,
	jobId: string,
	entries: readonly ImportedEntry[]
): Promise<number> => {
	const written = await rows(
		scope,
		`
		WITH batch AS (
			SELECT * FROM ROWS FROM (jsonb_to_recordset($3::jsonb) AS (id uuid, part uuid, kind text, payload jsonb, by text,
				at timestamptz, "offsetMs" bigint, seq bigint, "effectiveAt" timestamptz, "receivedAt" timestamptz)) WITH ORDINALITY
		), added AS (
			INSERT INTO log_entry (id, shop_id, job_id, part_id, kind, payload, by, at, offset_ms, client_seq, effective_at, received_at)
			SELECT id, $1::uuid, $2::uuid, part, kind, payload, by, at, "offsetMs", seq, "effectiveAt", "receivedAt"
			FROM batch ORDER BY ordinality
			ON CONFLICT (shop_id, id) DO NOTHING RETURNING *
		), ${projections.map((projection) => `${projection.table}_rows AS (${insertInto(projection, 'added')})`).join(', ')}
		SELECT id FROM added`,
		[jobId, JSON.stringify(entries)]
	);
	return written.length;
};
