import type { MatCell } from '@exetasis/core/mat';
import type { PartPast } from '@exetasis/core/decide';
import type { ShopScope } from '../scope';
import { rows } from './statement';

export interface LaidCell extends Omit<MatCell, keyof PartPast> {
	/** The pump's hours when it was fitted, else first seen. */
	readonly fromHours: number;
}

/** The mat of a job in strip order, each station cylinder by cylinder, with what is on record of each part's life. */
export const matCells = (scope: ShopScope, jobId: string, stations: readonly string[]): Promise<LaidCell[]> =>
	rows(
		scope,
		`
		SELECT c.part_id AS part, c.station, c.cylinder, j.pump_hours - l.fitted_hours AS hours, a.as_fitted AS "asFitted",
			coalesce(l.fitted_hours, (SELECT min(o.pump_hours) FROM job o WHERE o.pump_id = j.pump_id)) AS "fromHours",
			(SELECT count(*)::int FROM mat_cell m JOIN job o ON o.id = m.job_id
				WHERE m.part_id = c.part_id AND o.pump_id = j.pump_id AND o.received_at < j.received_at) AS kept,
			(SELECT count(*)::int FROM part_life e WHERE e.pump_id = j.pump_id AND e.station = c.station
				AND e.cylinder = c.cylinder AND e.removed_hours <= l.fitted_hours) AS "earlierLives"
		FROM mat_cell c JOIN job j ON j.id = c.job_id JOIN part a ON a.id = c.part_id
		JOIN LATERAL (SELECT fitted_hours FROM part_life WHERE part_id = c.part_id AND pump_id = j.pump_id
			AND station = c.station AND cylinder = c.cylinder ORDER BY fitted_hours DESC NULLS LAST LIMIT 1) l ON true
		WHERE c.shop_id = $1 AND c.job_id = $2 AND c.station = ANY($3)
		ORDER BY array_position($3::text[], c.station), c.cylinder`,
		[jobId, stations]
	);
