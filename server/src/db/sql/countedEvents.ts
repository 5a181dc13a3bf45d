/**
 * The looks of a shop's places with the hours that each stands for (`exposed`), and among them the marks that count (`grown`):
 * what `countedLooks` says of one pump, for all of them at once. A mark counts where it is new in its part's life or has grown;
 * hours run from look to look and no further back than the part. For other statements to begin with; the shop is $1.
 */
export const countedEvents = `
		WITH looked AS (
			SELECT DISTINCT k.job_id, k.part_id, c.station, c.cylinder, j.pump_id, j.pump_hours, j.received_at, j.duty->>'liquid' AS liquid
			FROM standing_look k JOIN job j ON j.id = k.job_id
			JOIN mat_cell c ON c.job_id = k.job_id AND c.part_id = k.part_id
			WHERE j.shop_id = $1),
		exposed AS (
			SELECT l.*, f.fitted_hours, l.pump_hours - greatest(
				lag(l.pump_hours) OVER (PARTITION BY l.pump_id, l.station, l.cylinder ORDER BY l.pump_hours, l.received_at),
				f.fitted_hours) AS hours
			FROM looked l LEFT JOIN LATERAL (SELECT fitted_hours FROM part_life WHERE part_id = l.part_id AND pump_id = l.pump_id
				AND station = l.station AND cylinder = l.cylinder ORDER BY fitted_hours DESC NULLS LAST LIMIT 1) f ON true),
		marked AS (
			SELECT k.job_id, k.part_id, k.pattern, max(k.severity) AS severity
			FROM standing_look k WHERE k.shop_id = $1 AND k.pattern IS NOT NULL AND k.onset = 'service'
			GROUP BY k.job_id, k.part_id, k.pattern),
		grown AS (
			SELECT e.*, m.pattern,
				m.severity > coalesce(max(m.severity) OVER (PARTITION BY e.pump_id, e.part_id, m.pattern
					ORDER BY e.pump_hours, e.received_at ROWS BETWEEN UNBOUNDED PRECEDING AND 1 PRECEDING), 0) AS counts
			FROM marked m JOIN exposed e USING (job_id, part_id))`;
