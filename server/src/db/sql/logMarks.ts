import type { ShopScope } from '../scope';
import { rows } from './statement';

/**
 * How far the record of each of a shop's pumps has come, of all of them where none is named: looks in its log, rebuilds, and how many of
 * them are released. What was worked out from them holds until this changes. Counted, since of two writers the later number may be there first.
 */
export const logMarks = (
	scope: ShopScope,
	pumpIds: readonly string[] | null
): Promise<{ readonly pump: string; readonly mark: string }[]> =>
	rows(
		scope,
		`
		SELECT j.pump_id AS pump, concat_ws('/', sum((SELECT count(*) FROM log_entry e WHERE e.job_id = j.id
			AND e.kind IN ('finding', 'clean', 'withdraw', 'correction'))), count(*), count(j.released_at)) AS mark
		FROM job j WHERE j.shop_id = $1 AND ($2::uuid[] IS NULL OR j.pump_id = ANY($2::uuid[])) GROUP BY j.pump_id ORDER BY j.pump_id`,
		[pumpIds]
	);
