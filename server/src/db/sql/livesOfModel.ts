import type { LifeOnRecord } from '@exetasis/core/decide';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/**
 * The lives of a model's parts in pumps that have been released at least once, in one and the same order for the same record: of
 * lives that began together a fit may count some, and is not to count others the next time.
 */
export const livesOfModel = (scope: ShopScope, model: string): Promise<LifeOnRecord[]> =>
	rows(
		scope,
		`
		SELECT l.part_id AS part, l.pump_id AS pump, l.station, l.fitted_hours AS "fittedHours", l.removed_hours AS "removedHours",
			l.end_reason AS "endReason", a.as_fitted AS "asFitted",
			coalesce(l.fitted_hours, (SELECT min(pump_hours) FROM job WHERE pump_id = l.pump_id AND released_at IS NOT NULL)) AS "firstSeenHours",
			coalesce((SELECT array_agg(DISTINCT j.pump_hours) FROM standing_inspection k JOIN job j ON j.id = k.job_id
				WHERE k.part_id = l.part_id AND j.pump_id = l.pump_id AND j.released_at IS NOT NULL), '{}') AS "inspectedHours"
		FROM part_life l JOIN pump p ON p.id = l.pump_id JOIN part a ON a.id = l.part_id
		WHERE l.shop_id = $1 AND p.model = $2 AND EXISTS (SELECT 1 FROM job WHERE pump_id = l.pump_id AND released_at IS NOT NULL)
		ORDER BY p.serial, l.station, l.cylinder, l.fitted_hours NULLS FIRST`,
		[model]
	);
