import type { ShopScope } from '../scope';
import { rows } from './statement';

/**
 * Counts the inspections of these pumps with the hours that each stands for, and among them the marks that count: what `countedInspections` says of
 * one pump. A mark counts where it is new in its part's life or has grown; hours run from look to look and no further back than the part.
 */
export const countInspections = (scope: ShopScope, pumpIds: readonly string[]): Promise<unknown[]> =>
	rows(
		scope,
		`
		WITH inspected AS (
			SELECT DISTINCT k.job_id, k.part_id, c.station, c.cylinder, j.pump_id, j.pump_hours, j.received_at
			FROM job j JOIN standing_inspection k ON k.job_id = j.id
			JOIN mat_cell c ON c.job_id = k.job_id AND c.part_id = k.part_id
			WHERE j.shop_id = $1 AND j.pump_id = ANY($2::uuid[])),
		exposed AS (
			SELECT l.*, f.fitted_hours, l.pump_hours - greatest(
				lag(l.pump_hours) OVER (PARTITION BY l.pump_id, l.station, l.cylinder ORDER BY l.pump_hours, l.received_at),
				f.fitted_hours) AS hours
			FROM inspected l LEFT JOIN LATERAL (SELECT fitted_hours FROM part_life WHERE part_id = l.part_id AND pump_id = l.pump_id
				AND station = l.station AND cylinder = l.cylinder ORDER BY fitted_hours DESC NULLS LAST LIMIT 1) f ON true),
		marked AS (
			SELECT k.job_id, k.part_id, k.pattern, max(k.severity) AS severity
			FROM job j JOIN standing_inspection k ON k.job_id = j.id
			WHERE j.shop_id = $1 AND j.pump_id = ANY($2::uuid[]) AND k.pattern IS NOT NULL AND k.onset = 'service'
			GROUP BY k.job_id, k.part_id, k.pattern),
		grown AS (
			SELECT e.*, m.pattern,
				m.severity > coalesce(max(m.severity) OVER (PARTITION BY e.pump_id, e.part_id, m.pattern
					ORDER BY e.pump_hours, e.received_at ROWS BETWEEN UNBOUNDED PRECEDING AND 1 PRECEDING), 0) AS counts
			FROM marked m JOIN exposed e USING (job_id, part_id)),
		led AS (
			SELECT g.*, EXISTS (SELECT 1 FROM part_life l WHERE l.removed_job_id = g.job_id AND l.part_id = g.part_id
				AND l.end_reason IN ('worn', 'damaged')) AS replaced FROM grown g WHERE g.counts AND g.hours > 0),
		marks AS (
			INSERT INTO counted_mark (shop_id, job_id, part_id, pump_id, station, cylinder, pattern, fitted_hours, opening)
			SELECT $1, job_id, part_id, pump_id, station, cylinder, pattern, fitted_hours,
				CASE WHEN replaced THEN 1.0 / count(*) FILTER (WHERE replaced) OVER (PARTITION BY job_id) ELSE 0 END FROM led)
		INSERT INTO counted_inspection (shop_id, job_id, part_id, pump_id, station, cylinder, fitted_hours, hours)
		SELECT $1, job_id, part_id, pump_id, station, cylinder, fitted_hours, hours FROM exposed WHERE hours > 0`,
		[pumpIds]
	);
