import type { Chosen, Opening } from '@exetasis/core/record';
import type { ShopScope } from '../scope';
import type { LogEntryRow } from '../tables';
import { row } from './statement';

/** A row of the log as JSON gives it. */
type LaterEntry = Omit<LogEntryRow, 'at' | 'effectiveAt'> & {
	readonly at: string;
	readonly effectiveAt: string | null;
};

interface JobFactsRow {
	readonly released: boolean;
	readonly scope: string;
	readonly variants: Chosen;
	readonly arrival: Opening['arrival'];
	readonly sheetId: string;
	/** Part and station of each part asked about that lies on the mat. */
	readonly cells: readonly [string, string][];
	/** Of the gauges asked about, those that the shop has. */
	readonly gauges: readonly string[];
	/** How many entries of its log are not later in it than the one asked about. */
	readonly known: number;
	/** Its later entries, in the order in which they arrived. */
	readonly later: readonly LaterEntry[];
}

/**
 * What the check of entries has to know of their job; of mat and gauges only what the entries speak of, of its log what
 * came after `lastSeq`.
 */
export const jobFacts = (
	scope: ShopScope,
	jobId: string,
	parts: readonly string[],
	gauges: readonly string[],
	lastSeq: number
): Promise<JobFactsRow | undefined> =>
	row(
		scope,
		`
		SELECT j.released_at IS NOT NULL AS released, j.scope, j.variants, j.arrival, j.model_sheet_id AS "sheetId",
			(SELECT coalesce(jsonb_agg(jsonb_build_array(c.part_id, c.station)), '[]') FROM mat_cell c
				WHERE c.job_id = j.id AND c.part_id = ANY($3::uuid[])) AS cells,
			(SELECT coalesce(jsonb_agg(g.id), '[]') FROM gauge g WHERE g.shop_id = j.shop_id AND g.id = ANY($4::uuid[])) AS gauges,
			(SELECT count(*)::int FROM log_entry e WHERE e.job_id = j.id AND e.seq <= $5) AS known,
			(SELECT coalesce(jsonb_agg(jsonb_build_object('id', e.id, 'seq', e.seq, 'jobId', e.job_id, 'partId', e.part_id,
					'kind', e.kind, 'payload', e.payload, 'by', e.by, 'at', e.at, 'offsetMs', e.offset_ms,
					'clientSeq', e.client_seq, 'effectiveAt', e.effective_at) ORDER BY e.seq), '[]')
				FROM log_entry e WHERE e.job_id = j.id AND e.seq > $5) AS later
		FROM job j WHERE j.shop_id = $1 AND j.id = $2`,
		[jobId, parts, gauges, lastSeq]
	);
