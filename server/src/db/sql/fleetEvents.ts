import type { EventsAtPlace } from '@exetasis/core/trace';
import { countedEvents } from './countedEvents';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** With the parts that were taken out worn or damaged in rebuilds with such an event, and when it came up first and last. */
export interface EventsOnRecord extends EventsAtPlace {
	readonly replaced: number;
	/** Openings on its account: each rebuild in which it took a part out, shared among all that did. */
	readonly openings: number;
	readonly first: Date | null;
	readonly last: Date | null;
}

/** What happened in service at every place of the shop's pumps, over how many hours. */
export const fleetEvents = (scope: ShopScope): Promise<EventsOnRecord[]> =>
	rows(
		scope,
		`
		${countedEvents}
		, led AS (
			SELECT g.*, EXISTS (SELECT 1 FROM part_life l WHERE l.removed_job_id = g.job_id AND l.part_id = g.part_id
				AND l.end_reason IN ('worn', 'damaged')) AS replaced FROM grown g WHERE g.counts AND g.hours > 0),
		shared AS (SELECT led.*, count(*) FILTER (WHERE replaced) OVER (PARTITION BY job_id) AS causes FROM led)
		SELECT pump_id AS pump, station, cylinder, NULL AS pattern, 0 AS events, sum(hours) AS hours, 0 AS replaced,
			0::double precision AS openings, NULL::timestamptz AS first, NULL::timestamptz AS last
		FROM exposed WHERE hours > 0 GROUP BY pump_id, station, cylinder
		UNION ALL
		SELECT pump_id, station, cylinder, pattern, count(*)::int, 0, count(*) FILTER (WHERE replaced)::int,
			coalesce(sum(1.0 / causes) FILTER (WHERE replaced), 0)::double precision, min(received_at), max(received_at)
		FROM shared GROUP BY pump_id, station, cylinder, pattern`
	);
