import type { SizeOnRecord } from '@exetasis/core/decide';
import type { ShopScope } from '../scope';
import { readings, rows } from './statement';

interface SizeToCount extends SizeOnRecord {
	readonly job: string;
	readonly model: string;
	readonly station: string;
	readonly cylinder: number;
	readonly fittedHours: number | null;
}

/** The readings of these pumps' parts in released rebuilds, by size, with where they lay and since when. */
export const sizesToCount = (scope: ShopScope, pumpIds: readonly string[]): Promise<SizeToCount[]> =>
	rows(
		scope,
		`
		WITH read AS (
			SELECT r.job_id, r.part_id, r.characteristic, ${readings} AS readings
			FROM standing_reading r JOIN job j ON j.id = r.job_id
			WHERE j.shop_id = $1 AND j.pump_id = ANY($2::uuid[]) AND j.released_at IS NOT NULL
			GROUP BY r.job_id, r.part_id, r.characteristic)
		SELECT r.job_id AS job, r.part_id AS part, j.pump_id AS pump, p.model, c.station, c.cylinder, r.characteristic,
			j.pump_hours AS "pumpHours", f.fitted_hours AS "fittedHours", r.readings
		FROM read r JOIN job j ON j.id = r.job_id JOIN pump p ON p.id = j.pump_id
		JOIN mat_cell c ON c.job_id = r.job_id AND c.part_id = r.part_id
		LEFT JOIN LATERAL (SELECT fitted_hours FROM part_life WHERE part_id = r.part_id AND pump_id = j.pump_id
			AND station = c.station AND cylinder = c.cylinder ORDER BY fitted_hours DESC NULLS LAST LIMIT 1) f ON true`,
		[pumpIds]
	);
