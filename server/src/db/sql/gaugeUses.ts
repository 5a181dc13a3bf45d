import type { ShopScope } from '../scope';
import { rows, standing } from './statement';

/** A job in which a gauge was used. */
export interface GaugeUse {
	readonly job: string;
	readonly serial: string;
	readonly receivedAt: Date;
	readonly readings: number;
}

const MOST_LISTED = 50;

/** The jobs in which a gauge was used, for sizes or to prove the pump, newest first, and how often. */
export const gaugeUses = (scope: ShopScope, gaugeId: string): Promise<GaugeUse[]> =>
	rows(
		scope,
		`
		WITH used AS (
			SELECT job_id FROM standing_reading WHERE shop_id = $1 AND gauge_id = $2
			UNION ALL
			SELECT e.job_id FROM log_entry e
			WHERE e.shop_id = $1 AND e.kind = 'proof' AND e.payload->>'gauge' = $2::text AND ${standing})
		SELECT j.id AS job, p.serial, j.received_at AS "receivedAt", count(*)::int AS readings
		FROM used u JOIN job j ON j.id = u.job_id JOIN pump p ON p.id = j.pump_id
		GROUP BY j.id, p.serial, j.received_at ORDER BY j.received_at DESC LIMIT ${MOST_LISTED}`,
		[gaugeId]
	);
