import type { ShopScope } from '../scope';
import { rows } from './statement';

/** How far the looks in the log of each pump have come: what was worked out from them holds until this grows. */
export const logMarks = (
	scope: ShopScope,
	pumpIds: readonly string[]
): Promise<{ pump: string; seq: string | null }[]> =>
	rows(
		scope,
		`
		SELECT j.pump_id AS pump, max((SELECT max(seq) FROM log_entry e WHERE e.job_id = j.id
			AND e.kind IN ('finding', 'clean', 'withdraw', 'correction'))) AS seq
		FROM job j WHERE j.shop_id = $1 AND j.pump_id = ANY($2::uuid[]) GROUP BY j.pump_id`,
		[pumpIds]
	);
