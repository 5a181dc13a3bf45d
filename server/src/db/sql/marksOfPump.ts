import type { Proof } from '@exetasis/core/record';
import type { ShopScope } from '../scope';
import { rows, standing } from './statement';

/** The middle of a band that was painted on a part's surface, in degrees round. */
interface BandAt {
	readonly job: string;
	readonly station: string;
	readonly cylinder: number;
	readonly deg: number;
}

/** Bands painted on a pump's parts, rebuild by rebuild. */
export const bandsOfPump = (scope: ShopScope, pumpId: string): Promise<BandAt[]> =>
	rows(
		scope,
		`
		SELECT e.job_id AS job, c.station, c.cylinder,
			((e.payload->>'fromDeg')::double precision + (e.payload->>'toDeg')::double precision) / 2 AS deg
		FROM log_entry e JOIN job j ON j.id = e.job_id JOIN mat_cell c ON c.job_id = e.job_id AND c.part_id = e.part_id
		WHERE j.shop_id = $1 AND j.pump_id = $2 AND e.kind = 'mark' AND e.payload->>'shape' = 'band' AND ${standing}`,
		[pumpId]
	);

type Verdicts = Extract<Proof['payload'], { test: 'trace' }>['verdicts'];

/** What the last trace on the rig said at each of a pump's rebuilds. */
export const tracesOfPump = (
	scope: ShopScope,
	pumpId: string
): Promise<{ readonly job: string; readonly verdicts: Verdicts }[]> =>
	rows(
		scope,
		`
		SELECT DISTINCT ON (e.job_id) e.job_id AS job, e.payload->'verdicts' AS verdicts
		FROM log_entry e JOIN job j ON j.id = e.job_id
		WHERE j.shop_id = $1 AND j.pump_id = $2 AND e.kind = 'proof' AND e.payload->>'test' = 'trace' AND ${standing}
		ORDER BY e.job_id, coalesce(e.effective_at, e.at) DESC, e.seq DESC`,
		[pumpId]
	);
