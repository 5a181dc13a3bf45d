import type { JobOnRecord } from '@exetasis/core/decide';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** The rebuilds of a job's pump up to and with that job, oldest first. */
export const jobsUpTo = (scope: ShopScope, jobId: string): Promise<JobOnRecord[]> =>
	rows(
		scope,
		`
		SELECT o.pump_id AS pump, o.pump_hours AS "pumpHours", o.duty FROM job j JOIN job o ON o.pump_id = j.pump_id
			AND o.received_at <= j.received_at
		WHERE j.shop_id = $1 AND j.id = $2 ORDER BY o.pump_hours`,
		[jobId]
	);
