import type { ShopScope } from '../scope';
import { rows } from './statement';

export interface Rebuild {
	readonly id: string;
	/** What its sheet calls its scope. */
	readonly scopeName: string;
	readonly complaint: string;
	readonly meterHours: number;
	readonly pumpHours: number;
	readonly receivedAt: Date;
	readonly releasedAt: Date | null;
	readonly replaced: number;
	readonly findings: number;
}

/** A pump's rebuilds, newest first. */
export const rebuilds = (scope: ShopScope, pumpId: string): Promise<Rebuild[]> =>
	rows(
		scope,
		`
		SELECT j.id, j.complaint, j.meter_hours AS "meterHours", j.pump_hours AS "pumpHours",
			coalesce((SELECT e->>'name' FROM jsonb_array_elements(s.body->'scopes') e WHERE e->>'key' = j.scope), j.scope) AS "scopeName",
			j.received_at AS "receivedAt", j.released_at AS "releasedAt",
			(SELECT count(*)::int FROM part_life l WHERE l.removed_job_id = j.id) AS replaced,
			(SELECT count(*)::int FROM standing_inspection k WHERE k.job_id = j.id AND k.pattern IS NOT NULL) AS findings
		FROM job j JOIN model_sheet s ON s.id = j.model_sheet_id WHERE j.shop_id = $1 AND j.pump_id = $2 ORDER BY j.received_at DESC`,
		[pumpId]
	);
