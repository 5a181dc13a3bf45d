import type { Chosen, Opening } from '@exetasis/core/record';
import type { ShopScope } from '../scope';
import { row, standing } from './statement';

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
	/** Steps that are signed off, with the moment that counts, ms since 1970; the last of a step counts. */
	readonly steps: readonly (readonly [string, number])[];
	/** Steps that are repeated, and a cylinder at which each is done. */
	readonly cylinders: readonly (readonly [string, number])[];
	/** Questions of steps that are answered: step, number, and the cylinder where it is asked at each. */
	readonly answers: readonly (readonly [string, number, number | null])[];
}

/** What the check of entries has to know of their job; of mat and gauges only what the entries speak of. */
export const jobFacts = (
	scope: ShopScope,
	jobId: string,
	parts: readonly string[],
	gauges: readonly string[]
): Promise<JobFactsRow | undefined> =>
	row(
		scope,
		`
		SELECT j.released_at IS NOT NULL AS released, j.scope, j.variants, j.arrival, j.model_sheet_id AS "sheetId",
			(SELECT coalesce(jsonb_agg(jsonb_build_array(c.part_id, c.station)), '[]') FROM mat_cell c
				WHERE c.job_id = j.id AND c.part_id = ANY($3::uuid[])) AS cells,
			(SELECT coalesce(jsonb_agg(g.id), '[]') FROM gauge g WHERE g.shop_id = j.shop_id AND g.id = ANY($4::uuid[])) AS gauges,
			(SELECT coalesce(jsonb_agg(jsonb_build_array(e.payload->>'step',
					round(extract(epoch FROM coalesce(e.effective_at, e.at)) * 1000)) ORDER BY coalesce(e.effective_at, e.at)), '[]')
				FROM log_entry e
				WHERE e.job_id = j.id AND e.kind = 'step' AND ${standing}) AS steps,
			(SELECT coalesce(jsonb_agg(DISTINCT jsonb_build_array(e.payload->>'step', e.payload->'cylinder')), '[]') FROM log_entry e
				WHERE e.job_id = j.id AND e.kind = 'cylinderDone' AND ${standing}) AS cylinders,
			(SELECT coalesce(jsonb_agg(DISTINCT jsonb_build_array(e.payload->>'step', e.payload->'ask', e.payload->'cylinder')), '[]') FROM log_entry e
				WHERE e.job_id = j.id AND e.kind = 'answer' AND ${standing}) AS answers
		FROM job j WHERE j.shop_id = $1 AND j.id = $2`,
		[jobId, parts, gauges]
	);
