import type { FoundWrong } from '@exetasis/core/record';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** How often an earlier assembly had left a place of a pump wrong, and when that was last found. */
export interface FoundWrongAtPlace {
	readonly station: string;
	readonly cylinder: number;
	readonly wrong: FoundWrong;
	readonly times: number;
	readonly last: Date;
}

/** What was wrong with how a pump's parts were found when it was opened, place by place, the most frequent first; of each part the last word counts. */
export const foundWrongOf = (scope: ShopScope, pumpId: string): Promise<FoundWrongAtPlace[]> =>
	rows(
		scope,
		`
		WITH said AS (
			SELECT DISTINCT ON (e.job_id, e.part_id, e.payload ? 'where') c.station, c.cylinder, j.received_at,
				CASE WHEN e.payload->>'facing' = 'turned' THEN 'reversed'
					WHEN e.payload->>'where' IN ('missing', 'doubled') THEN e.payload->>'where' END AS wrong
			FROM log_entry e JOIN job j ON j.id = e.job_id
			JOIN mat_cell c ON c.job_id = e.job_id AND c.part_id = e.part_id
			WHERE j.shop_id = $1 AND j.pump_id = $2 AND e.kind = 'asFound' AND NOT EXISTS
				(SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = e.shop_id AND w.entry_id = e.id)
			ORDER BY e.job_id, e.part_id, e.payload ? 'where', coalesce(e.effective_at, e.at) DESC, e.seq DESC)
		SELECT station, cylinder, wrong, count(*)::int AS times, max(received_at) AS last
		FROM said WHERE wrong IS NOT NULL GROUP BY station, cylinder, wrong
		ORDER BY times DESC, last DESC, station, cylinder`,
		[pumpId]
	);
