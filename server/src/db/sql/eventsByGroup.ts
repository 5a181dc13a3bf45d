import { AGES_H, SUMMER } from '@exetasis/core/trace';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** What the marks of a station are set side by side by. Never by person. */
export const contrastedBy = ['lot', 'supplier', 'kit', 'liquid', 'season', 'age'] as const;
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

// The group of a look or mark e of a part a at a job j; no words of a request ever stand here.
const groupOf: Readonly<Record<ContrastedBy, string>> = {
	lot: 'a.lot',
	supplier: 'a.supplier',
	kit: 'a.kit',
	liquid: `j.duty->>'liquid'`,
	season: `CASE WHEN extract(month FROM j.received_at AT TIME ZONE 'UTC') - 1 IN (${SUMMER.join(', ')}) THEN 'summer' ELSE 'winter' END`,
	age: `CASE WHEN e.fitted_hours IS NULL THEN NULL WHEN j.pump_hours - e.fitted_hours <= ${AGES_H[0]} THEN 'new'
		WHEN j.pump_hours - e.fitted_hours <= ${AGES_H[1]} THEN 'middle' ELSE 'old' END`
};

const grouped = (by: ContrastedBy, table: string) =>
	`(SELECT p.model, e.*, ${groupOf[by]} AS "group" FROM ${table} e JOIN job j ON j.id = e.job_id
			JOIN pump p ON p.id = e.pump_id JOIN part a ON a.id = e.part_id WHERE e.shop_id = $1)`;

/**
 * Marks and hours of every station of the shop's models in groups, as far as they are counted (see `upToDate`); a group that nobody
 * knows is left out.
 */
export const eventsByGroup = (scope: ShopScope, by: ContrastedBy): Promise<EventsInGroup[]> =>
	rows(
		scope,
		`
		SELECT model, station, "group", NULL AS pattern, 0 AS events, sum(hours) AS hours
		FROM ${grouped(by, 'counted_look')} looks WHERE "group" IS NOT NULL GROUP BY model, station, "group"
		UNION ALL
		SELECT model, station, "group", pattern, count(*)::int, 0
		FROM ${grouped(by, 'counted_mark')} marks WHERE "group" IS NOT NULL GROUP BY model, station, "group", pattern`
	);
