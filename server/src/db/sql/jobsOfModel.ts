import type { JobOnRecord } from '@exetasis/core/decide';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** The released rebuilds of a model's pumps, each pump's in order. */
export const jobsOfModel = (scope: ShopScope, model: string): Promise<JobOnRecord[]> =>
	rows(
		scope,
		`
		SELECT j.pump_id AS pump, j.pump_hours AS "pumpHours", j.duty FROM job j JOIN pump p ON p.id = j.pump_id
		WHERE j.shop_id = $1 AND p.model = $2 AND j.released_at IS NOT NULL ORDER BY j.pump_id, j.pump_hours`,
		[model]
	);
