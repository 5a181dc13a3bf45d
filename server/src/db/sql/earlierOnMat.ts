import type { ShopScope } from '../scope';
import { rows } from './statement';

/** What became of the part at one place in one earlier rebuild. */
export interface EarlierAtPlace {
	readonly station: string;
	readonly cylinder: number;
	readonly pumpHours: number;
	/** What was decided; null where no one did. */
	readonly verdict: string | null;
	/** The worst mark that service had left, 0 for none. */
	readonly worst: number;
}

/** The places of a job's mat in the last rebuilds before it that are released, the newest first. */
export const earlierOnMat = (scope: ShopScope, jobId: string, rebuilds: number): Promise<EarlierAtPlace[]> =>
	rows(
		scope,
		`
		WITH now AS (SELECT pump_id, received_at FROM job WHERE shop_id = $1 AND id = $2),
		earlier AS (SELECT j.id, j.pump_hours, j.received_at FROM job j, now
			WHERE j.shop_id = $1 AND j.pump_id = now.pump_id AND j.received_at < now.received_at AND j.released_at IS NOT NULL
			ORDER BY j.received_at DESC LIMIT $3)
		SELECT c.station, c.cylinder, e.pump_hours AS "pumpHours",
			(SELECT d.verdict FROM standing_decision d WHERE d.job_id = e.id AND d.part_id = c.part_id
				ORDER BY d.at DESC, d.entry_id DESC LIMIT 1) AS verdict,
			coalesce((SELECT max(k.severity) FROM standing_inspection k
				WHERE k.job_id = e.id AND k.part_id = c.part_id AND k.onset = 'service'), 0)::int AS worst
		FROM earlier e JOIN mat_cell c ON c.job_id = e.id ORDER BY e.received_at DESC`,
		[jobId, rebuilds]
	);
