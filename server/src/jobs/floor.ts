import type { Scope } from '@exetasis/core/record';
import { rows, type ShopScope } from '../db/query';

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
export async function floorOf(scope: ShopScope): Promise<FloorJob[]> {
	const found = await rows<FloorJob & { stations: string[] }>(
		scope,
		`
		SELECT j.id, j.pump_id AS "pumpId", p.serial, p.tag, t.name AS site, p.model, j.scope, j.complaint, j.received_at AS "receivedAt",
			(SELECT count(DISTINCT payload->>'step')::int FROM log_entry WHERE job_id = j.id AND kind = 'step') AS steps,
			(SELECT count(*)::int FROM mat_cell c WHERE c.job_id = j.id AND c.station = ANY(o.stations)) AS parts,
			(SELECT count(DISTINCT part_id)::int FROM look WHERE job_id = j.id AND NOT withdrawn) AS looked,
			(SELECT count(DISTINCT part_id)::int FROM decision WHERE job_id = j.id AND NOT withdrawn) AS decided
		FROM job j JOIN pump p ON p.id = j.pump_id LEFT JOIN site t ON t.id = p.site_id
		JOIN model_sheet s ON s.id = j.model_sheet_id
		CROSS JOIN LATERAL (SELECT array_agg(e->>'key') AS stations FROM jsonb_array_elements(s.body->'stations') e
			WHERE e->'scopes' ? j.scope) o
		WHERE j.shop_id = $1 AND j.released_at IS NULL ORDER BY j.received_at`
	);
	return found;
}

/** The jobs released last. */
export const lastReleased = (
	scope: ShopScope,
	most = 8
): Promise<
	{ id: string; serial: string; tag: string | null; site: string | null; releasedAt: Date; replaced: number }[]
> =>
	rows(
		scope,
		`
		SELECT j.id, p.serial, p.tag, t.name AS site, j.released_at AS "releasedAt",
			(SELECT count(*)::int FROM part_life l WHERE l.removed_job_id = j.id) AS replaced
		FROM job j JOIN pump p ON p.id = j.pump_id LEFT JOIN site t ON t.id = p.site_id
		WHERE j.shop_id = $1 AND j.released_at IS NOT NULL ORDER BY j.released_at DESC LIMIT $2`,
		[most]
	);
