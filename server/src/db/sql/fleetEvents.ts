import type { EventsAtPlace } from '@exetasis/core/trace';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** With the parts that were taken out worn or damaged in rebuilds with such an event, and when it came up first and last. */
export interface EventsOnRecord extends EventsAtPlace {
	readonly replaced: number;
	readonly first: Date | null;
	readonly last: Date | null;
}

/**
 * What happened in service at every place of the shop's pumps, over how many hours: `countedLooks` for all of them at once.
 * A mark counts where it is new in its part's life or has grown; hours run from look to look and no further back than the part.
 */
export const fleetEvents = (scope: ShopScope): Promise<EventsOnRecord[]> =>
	rows(
		scope,
		`
		WITH looked AS (
			SELECT DISTINCT k.job_id, k.part_id, c.station, c.cylinder, j.pump_id, j.pump_hours, j.received_at
			FROM standing_look k JOIN job j ON j.id = k.job_id
			JOIN mat_cell c ON c.job_id = k.job_id AND c.part_id = k.part_id
			WHERE j.shop_id = $1),
		exposed AS (
			SELECT l.*, l.pump_hours - greatest(
				lag(l.pump_hours) OVER (PARTITION BY l.pump_id, l.station, l.cylinder ORDER BY l.pump_hours, l.received_at),
				f.fitted_hours) AS hours
			FROM looked l LEFT JOIN LATERAL (SELECT fitted_hours FROM part_life WHERE part_id = l.part_id AND pump_id = l.pump_id
				AND station = l.station AND cylinder = l.cylinder ORDER BY fitted_hours DESC NULLS LAST LIMIT 1) f ON true),
		marked AS (
			SELECT k.job_id, k.part_id, k.pattern, max(k.severity) AS severity
			FROM standing_look k WHERE k.shop_id = $1 AND k.pattern IS NOT NULL AND k.onset = 'service'
			GROUP BY k.job_id, k.part_id, k.pattern),
		grown AS (
			SELECT e.job_id, e.part_id, e.pump_id, e.station, e.cylinder, e.hours, e.received_at, m.pattern,
				m.severity > coalesce(max(m.severity) OVER (PARTITION BY e.pump_id, e.part_id, m.pattern
					ORDER BY e.pump_hours, e.received_at ROWS BETWEEN UNBOUNDED PRECEDING AND 1 PRECEDING), 0) AS counts
			FROM marked m JOIN exposed e USING (job_id, part_id))
		SELECT pump_id AS pump, station, cylinder, NULL AS pattern, 0 AS events, sum(hours) AS hours, 0 AS replaced,
			NULL::timestamptz AS first, NULL::timestamptz AS last
		FROM exposed WHERE hours > 0 GROUP BY pump_id, station, cylinder
		UNION ALL
		SELECT g.pump_id, g.station, g.cylinder, g.pattern, count(*)::int, 0,
			count(*) FILTER (WHERE EXISTS (SELECT 1 FROM part_life l WHERE l.removed_job_id = g.job_id AND l.part_id = g.part_id
				AND l.end_reason IN ('worn', 'damaged')))::int, min(g.received_at), max(g.received_at)
		FROM grown g WHERE g.counts AND g.hours > 0 GROUP BY g.pump_id, g.station, g.cylinder, g.pattern`
	);
