import type { FoundWrong } from '@exetasis/core/record';
import type { ShopScope } from '../scope';
import { rows, standing } from './statement';

/** How a part was found when its pump was opened; `wrong` null where it was as it should be. */
export interface FoundAt {
	readonly job: string;
	readonly station: string;
	readonly cylinder: number;
	readonly wrong: FoundWrong | null;
	readonly receivedAt: Date;
}

// In which respect an entry says how a part was found.
const respect = `CASE WHEN e.payload ? 'where' THEN 1 WHEN e.payload ? 'facing' THEN 2 ELSE 3 END`;

/** How a pump's parts were found, rebuild by rebuild; of each part the last word on place, on direction and on its joints counts. */
export const foundAt = (scope: ShopScope, pumpId: string): Promise<FoundAt[]> =>
	rows(
		scope,
		`
		SELECT DISTINCT ON (e.job_id, e.part_id, ${respect}) e.job_id AS job, c.station, c.cylinder,
			j.received_at AS "receivedAt",
			CASE WHEN e.payload->>'facing' = 'turned' THEN 'reversed'
				WHEN e.payload->>'joints' = 'inLine' THEN 'jointsInLine'
				WHEN e.payload->>'where' IN ('missing', 'doubled') THEN e.payload->>'where' END AS wrong
		FROM log_entry e JOIN job j ON j.id = e.job_id
		JOIN mat_cell c ON c.job_id = e.job_id AND c.part_id = e.part_id
		WHERE j.shop_id = $1 AND j.pump_id = $2 AND e.kind = 'asFound' AND e.payload ?| array['where', 'facing', 'joints']
			AND ${standing}
		ORDER BY e.job_id, e.part_id, ${respect}, coalesce(e.effective_at, e.at) DESC, e.seq DESC`,
		[pumpId]
	);
