import type { ShopScope } from '../scope';
import { rows } from './statement';

/**
 * How far the record of each of a shop's pumps has come, of all of them where none is named: inspections in its log, rebuilds, how many of
 * them are released, and the newest sheet of its model. What was worked out from them holds until this changes. Counted, since of two writers the later number may be there first.
 */
export const logMarks = (
	scope: ShopScope,
	pumpIds: readonly string[] | null
): Promise<{ readonly pump: string; readonly mark: string }[]> =>
	rows(
		scope,
		`
		SELECT j.pump_id AS pump, concat_ws('/', sum((SELECT count(*) FROM log_entry e WHERE e.job_id = j.id
			AND e.kind IN ('finding', 'clean', 'withdraw', 'correction'))), count(*), count(j.released_at),
			(SELECT max(s.revision) FROM model_sheet s JOIN pump p ON p.model = s.model AND p.shop_id = s.shop_id WHERE p.id = j.pump_id)) AS mark
		FROM job j WHERE j.shop_id = $1 AND ($2::uuid[] IS NULL OR j.pump_id = ANY($2::uuid[])) GROUP BY j.pump_id ORDER BY j.pump_id`,
		[pumpIds]
	);
