import type { MatState } from '@exetasis/core/mat';
import type { Customer } from '@exetasis/core/record';
import type { ShopScope } from '../scope';
import { rows, standing } from './statement';

/** A job on the floor: where it stands and what it waits for. */
export interface FloorJob {
	readonly id: string;
	readonly pumpId: string;
	readonly serial: string;
	readonly tag: string | null;
	readonly site: string | null;
	readonly model: string;
	/** What its sheet calls its scope. */
	readonly scopeName: string;
	readonly complaint: string;
	readonly customer: Customer;
	readonly receivedAt: Date;
	readonly steps: number;
	readonly parts: number;
	readonly inspected: number;
	readonly decided: number;
	/** The text of the first step that no one has signed off. */
	readonly nextStep: string | null;
	/** Name and place of the first part that is not inspected, in walking order. */
	readonly nextPart: { readonly name: string; readonly station: string; readonly cylinder: number } | null;
	/** Parts whose standing decision is to look again. */
	readonly again: number;
	/** Place of the last entry of its log; null while it has none. */
	readonly lastSeq: string | null;
	/** The mat in little: column and cylinder of each part, and how far it is. */
	readonly mat: readonly { readonly column: number; readonly cylinder: number; readonly state: MatState }[];
	/** Names of the stations by their keys. */
	readonly names: Readonly<Record<string, string>>;
}

/** The shop's open jobs, longest waiting first. */
export const floorJobs = (scope: ShopScope): Promise<FloorJob[]> =>
	rows(
		scope,
		`
		WITH signed AS (SELECT e.job_id AS job, e.payload->>'step' AS step FROM log_entry e JOIN job o ON o.id = e.job_id
			WHERE e.shop_id = $1 AND e.kind = 'step' AND o.released_at IS NULL AND ${standing})
		SELECT j.id, j.pump_id AS "pumpId", p.serial, p.tag, t.name AS site, p.model, j.complaint, j.customer, j.received_at AS "receivedAt",
			(SELECT max(seq)::text FROM log_entry e WHERE e.job_id = j.id) AS "lastSeq",
			coalesce((SELECT e->>'name' FROM jsonb_array_elements(s.body->'scopes') e WHERE e->>'key' = j.scope), j.scope) AS "scopeName",
			(SELECT count(*)::int FROM (SELECT DISTINCT step FROM signed WHERE job = j.id) d) AS steps,
			(SELECT e->>'text' FROM jsonb_array_elements(s.body->'steps') WITH ORDINALITY e(e, n)
				WHERE e->'scopes' ? j.scope AND coalesce(e->>'stage', 'strip') IN ('prepare', 'strip', 'clean')
				AND NOT EXISTS (SELECT 1 FROM jsonb_each(e->'onlyWith') w WHERE j.variants ? w.key AND NOT
					CASE jsonb_typeof(j.variants->w.key) WHEN 'string' THEN w.value ? (j.variants->>w.key)
						ELSE w.value ?| ARRAY(SELECT jsonb_array_elements_text(j.variants->w.key)) END)
				AND NOT EXISTS (SELECT 1 FROM signed WHERE job = j.id AND step = e->>'key')
				ORDER BY n LIMIT 1) AS "nextStep",
			(SELECT jsonb_object_agg(e->>'key', e->>'name') FROM jsonb_array_elements(s.body->'stations') e) AS names,
			m.*
		FROM job j JOIN pump p ON p.id = j.pump_id LEFT JOIN site t ON t.id = p.site_id
		JOIN model_sheet s ON s.id = j.model_sheet_id
		CROSS JOIN LATERAL (
			SELECT count(*)::int AS parts, count(*) FILTER (WHERE inspected)::int AS inspected,
				count(*) FILTER (WHERE verdict IS NOT NULL)::int AS decided,
				count(*) FILTER (WHERE verdict = 'lookAgain')::int AS again,
				coalesce(jsonb_agg(jsonb_build_object('column', n, 'cylinder', cylinder, 'state',
					coalesce(verdict, CASE WHEN inspected THEN 'inspected' ELSE 'open' END)) ORDER BY n, cylinder), '[]') AS mat,
				(array_agg(jsonb_build_object('name', name, 'station', station, 'cylinder', cylinder)
					ORDER BY cylinder > 0, cylinder, n) FILTER (WHERE NOT inspected))[1] AS "nextPart"
			FROM (SELECT c.station, c.cylinder, o.n, o.name,
					EXISTS (SELECT 1 FROM standing_inspection l WHERE l.job_id = j.id AND l.part_id = c.part_id) AS inspected,
					(SELECT d.verdict FROM standing_decision d WHERE d.job_id = j.id AND d.part_id = c.part_id
						ORDER BY d.at DESC, d.entry_id DESC LIMIT 1) AS verdict
				FROM (SELECT e->>'key' AS key, e->>'name' AS name, row_number() OVER (ORDER BY n)::int AS n
					FROM jsonb_array_elements(s.body->'stations') WITH ORDINALITY e(e, n) WHERE e->'scopes' ? j.scope) o
				JOIN mat_cell c ON c.job_id = j.id AND c.station = o.key
				OFFSET 0) c) m -- each part's verdict and look once, not once for each column that speaks of them
		WHERE j.shop_id = $1 AND j.released_at IS NULL ORDER BY j.received_at`
	);
