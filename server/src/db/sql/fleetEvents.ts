import type { EventsAtPlace } from '@exetasis/core/trace';
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

/** What happened in service at every place of the shop's pumps, over how many hours, as far as it is counted (see `upToDate`). */
export const fleetEvents = (scope: ShopScope): Promise<EventsOnRecord[]> =>
	rows(
		scope,
		`
		SELECT pump_id AS pump, station, cylinder, NULL AS pattern, 0 AS events, sum(hours) AS hours, 0 AS replaced,
			0::double precision AS openings, NULL::timestamptz AS first, NULL::timestamptz AS last
		FROM counted_inspection WHERE shop_id = $1 GROUP BY pump_id, station, cylinder
		UNION ALL
		SELECT m.pump_id, m.station, m.cylinder, m.pattern, count(*)::int, 0, count(*) FILTER (WHERE m.opening > 0)::int,
			sum(m.opening), min(j.received_at), max(j.received_at)
		FROM counted_mark m JOIN job j ON j.id = m.job_id WHERE m.shop_id = $1 GROUP BY m.pump_id, m.station, m.cylinder, m.pattern`
	);
