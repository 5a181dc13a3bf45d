import { AGES_H, SUMMER } from '@exetasis/core/trace';
import type { ShopScope } from '../scope';
import { countedEvents } from './countedEvents';
import { rows } from './statement';

/** What the marks of a station are set side by side by. Never by person. */
export const contrastedBy = ['lot', 'supplier', 'liquid', 'season', 'age'] as const;
export type ContrastedBy = (typeof contrastedBy)[number];

/** Events of one pattern in one group; of no pattern: the hours of the group. */
export interface EventsInGroup {
	readonly model: string;
	readonly station: string;
	readonly group: string;
	readonly pattern: string | null;
	readonly events: number;
	readonly hours: number;
}

// The group of a row of `exposed`; no words of a request ever stand here.
const groupOf: Readonly<Record<ContrastedBy, string>> = {
	lot: 'a.lot',
	supplier: 'a.supplier',
	liquid: 'e.liquid',
	season: `CASE WHEN extract(month FROM e.received_at AT TIME ZONE 'UTC') - 1 IN (${SUMMER.join(', ')}) THEN 'summer' ELSE 'winter' END`,
	age: `CASE WHEN e.fitted_hours IS NULL THEN NULL WHEN e.pump_hours - e.fitted_hours <= ${AGES_H[0]} THEN 'new'
		WHEN e.pump_hours - e.fitted_hours <= ${AGES_H[1]} THEN 'middle' ELSE 'old' END`
};

/** Marks and hours of every station of the shop's models in groups; a group that nobody knows is left out. */
export const eventsByGroup = (scope: ShopScope, by: ContrastedBy): Promise<EventsInGroup[]> =>
	rows(
		scope,
		`
		${countedEvents},
		grouped AS (SELECT e.*, p.model, ${groupOf[by]} AS "group" FROM exposed e JOIN pump p ON p.id = e.pump_id JOIN part a ON a.id = e.part_id),
		marks AS (SELECT e.*, p.model, ${groupOf[by]} AS "group" FROM grown e JOIN pump p ON p.id = e.pump_id JOIN part a ON a.id = e.part_id)
		SELECT model, station, "group", NULL AS pattern, 0 AS events, sum(hours) AS hours
		FROM grouped WHERE hours > 0 AND "group" IS NOT NULL GROUP BY model, station, "group"
		UNION ALL
		SELECT model, station, "group", pattern, count(*)::int, 0
		FROM marks WHERE counts AND hours > 0 AND "group" IS NOT NULL GROUP BY model, station, "group", pattern`
	);
