import type { SizeOnRecord } from '@exetasis/core/decide';
import type { ShopScope } from '../scope';
import { readings, rows } from './statement';

export interface SizeAtRebuild extends Pick<SizeOnRecord, 'characteristic' | 'readings'> {
	readonly job: string;
	readonly station: string;
	readonly cylinder: number;
}

/** The readings of these sizes of a pump's parts, by rebuild and place. */
export const sizesOfPump = (
	scope: ShopScope,
	pumpId: string,
	characteristics: readonly string[]
): Promise<SizeAtRebuild[]> =>
	rows(
		scope,
		`
		SELECT r.job_id AS job, c.station, c.cylinder, r.characteristic,
			${readings} AS readings
		FROM standing_reading r JOIN job j ON j.id = r.job_id
		JOIN mat_cell c ON c.job_id = r.job_id AND c.part_id = r.part_id
		WHERE j.shop_id = $1 AND j.pump_id = $2 AND r.characteristic = ANY($3::text[])
		GROUP BY r.job_id, c.station, c.cylinder, r.characteristic`,
		[pumpId, characteristics]
	);
