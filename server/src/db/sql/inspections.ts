import type { PartInspection } from '@exetasis/core/trace';
import type { ShopScope } from '../scope';
import { rows } from './statement';

export interface InspectionOnRecord extends PartInspection {
	readonly pump: string;
	readonly job: string;
	readonly receivedAt: Date;
}

/** Every look at every part of these pumps, in the order of their hours, with its marks and the fitting of its part. */
export const inspections = (scope: ShopScope, pumpIds: readonly string[]): Promise<InspectionOnRecord[]> =>
	rows(
		scope,
		`
		SELECT c.part_id AS part, c.station, c.cylinder, j.pump_id AS pump, j.id AS job, j.pump_hours AS "pumpHours",
			j.received_at AS "receivedAt", l.fitted_hours AS "fittedHours",
			coalesce(json_agg(json_build_object('pattern', k.pattern, 'severity', k.severity, 'onset', k.onset))
				FILTER (WHERE k.pattern IS NOT NULL), '[]') AS marks
		FROM job j JOIN mat_cell c ON c.job_id = j.id JOIN standing_inspection k ON k.job_id = j.id AND k.part_id = c.part_id
		JOIN LATERAL (SELECT fitted_hours FROM part_life WHERE part_id = c.part_id AND pump_id = j.pump_id
			AND station = c.station AND cylinder = c.cylinder ORDER BY fitted_hours DESC NULLS LAST LIMIT 1) l ON true
		WHERE j.shop_id = $1 AND j.pump_id = ANY($2::uuid[])
		GROUP BY c.part_id, c.station, c.cylinder, j.id, l.fitted_hours ORDER BY j.pump_hours, j.received_at`,
		[pumpIds]
	);
