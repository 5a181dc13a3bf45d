import type { ShopScope } from '../scope';
import { rows } from './statement';

/** A job in which a gauge was used. */
export interface GaugeUse {
	readonly job: string;
	readonly serial: string;
	readonly receivedAt: Date;
	readonly readings: number;
}

const MOST_LISTED = 50;

/** The jobs in which a gauge was used, newest first, and how often. */
export const gaugeUses = (scope: ShopScope, gaugeId: string): Promise<GaugeUse[]> =>
	rows(
		scope,
		`
		SELECT j.id AS job, p.serial, j.received_at AS "receivedAt", count(*)::int AS readings
		FROM standing_reading r JOIN job j ON j.id = r.job_id JOIN pump p ON p.id = j.pump_id
		WHERE r.shop_id = $1 AND r.gauge_id = $2
		GROUP BY j.id, p.serial, j.received_at ORDER BY j.received_at DESC LIMIT ${MOST_LISTED}`,
		[gaugeId]
	);
