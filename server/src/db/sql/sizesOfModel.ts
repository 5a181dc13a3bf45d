import type { SizeOnRecord } from '@exetasis/core/decide';
import type { ShopScope } from '../scope';
import { readings, rows } from './statement';

/** The readings of a model's parts in released rebuilds, by part, rebuild and characteristic. */
export const sizesOfModel = (scope: ShopScope, model: string): Promise<SizeOnRecord[]> =>
	rows(
		scope,
		`
		SELECT r.part_id AS part, j.pump_id AS pump, r.characteristic, j.pump_hours AS "pumpHours", ${readings} AS readings
		FROM standing_reading r JOIN job j ON j.id = r.job_id JOIN pump p ON p.id = j.pump_id
		WHERE r.shop_id = $1 AND p.model = $2 AND j.released_at IS NOT NULL
		GROUP BY r.part_id, j.pump_id, r.characteristic, j.pump_hours`,
		[model]
	);
