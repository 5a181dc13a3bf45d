import type { Scope } from '@exetasis/core/record';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** A job on the floor: where it stands and what it waits for. */
export interface FloorJob {
	readonly id: string;
	readonly pumpId: string;
	readonly serial: string;
	readonly tag: string | null;
	readonly site: string | null;
	readonly model: string;
	readonly scope: Scope;
	readonly complaint: string;
	readonly receivedAt: Date;
	readonly steps: number;
	readonly parts: number;
	readonly looked: number;
	readonly decided: number;
}

/** The shop's open jobs, longest waiting first. */
export const floorJobs = (scope: ShopScope): Promise<FloorJob[]> =>
	rows(
		scope,
		`
		SELECT j.id, j.pump_id AS "pumpId", p.serial, p.tag, t.name AS site, p.model, j.scope, j.complaint, j.received_at AS "receivedAt",
			(SELECT count(DISTINCT e.payload->>'step')::int FROM log_entry e WHERE e.job_id = j.id AND e.kind = 'step' AND NOT EXISTS
				(SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = e.shop_id AND w.entry_id = e.id)) AS steps,
			(SELECT count(*)::int FROM mat_cell c WHERE c.job_id = j.id AND c.station = ANY(o.stations)) AS parts,
			(SELECT count(DISTINCT part_id)::int FROM standing_look WHERE job_id = j.id) AS looked,
			(SELECT count(DISTINCT part_id)::int FROM standing_decision WHERE job_id = j.id) AS decided
		FROM job j JOIN pump p ON p.id = j.pump_id LEFT JOIN site t ON t.id = p.site_id
		JOIN model_sheet s ON s.id = j.model_sheet_id
		CROSS JOIN LATERAL (SELECT array_agg(e->>'key') AS stations FROM jsonb_array_elements(s.body->'stations') e
			WHERE e->'scopes' ? j.scope) o
		WHERE j.shop_id = $1 AND j.released_at IS NULL ORDER BY j.received_at`
	);
