import type { SizeOnRecord } from '@exetasis/core/decide';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** The readings of the parts on the mat of a job in the pump's earlier rebuilds. */
export const earlierSizes = (scope: ShopScope, jobId: string): Promise<SizeOnRecord[]> =>
	rows(
		scope,
		`
		SELECT r.part_id AS part, o.pump_id AS pump, r.characteristic, o.pump_hours AS "pumpHours", json_agg(jsonb_strip_nulls(jsonb_build_object('row', r.grid_row, 'column', r.grid_column, 'value', r.value,
				'gauge', r.gauge_id, 'partC', r.part_c, 'gaugeC', r.gauge_c))) AS readings
		FROM mat_cell c JOIN job j ON j.id = c.job_id JOIN standing_reading r ON r.part_id = c.part_id AND r.job_id <> j.id
		JOIN job o ON o.id = r.job_id AND o.pump_id = j.pump_id AND o.received_at < j.received_at
		WHERE c.shop_id = $1 AND c.job_id = $2
		GROUP BY r.part_id, o.pump_id, r.characteristic, o.pump_hours`,
		[jobId]
	);
