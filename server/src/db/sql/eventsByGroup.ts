import { AGE_BANDS_H, AGES_H, SUMMER, type GroupedEvents } from '@exetasis/core/trace';
import type { ShopScope } from '../scope';
import { rows, standing } from './statement';

/** What the marks of a station are set side by side by. Never by person. */
export const contrastedBy = ['lot', 'supplier', 'kit', 'liquid', 'season', 'age', 'way'] as const;
type ContrastedBy = (typeof contrastedBy)[number];

// The group of what was counted, e, of a part a at a job j; no words of a request ever stand here.
const groupOf: Readonly<Record<ContrastedBy | 'pump', string>> = {
	pump: 'e.pump_id::text',
	lot: 'a.lot',
	supplier: 'a.supplier',
	kit: 'a.kit',
	liquid: `j.duty->>'liquid'`,
	season: `CASE WHEN extract(month FROM j.received_at AT TIME ZONE 'UTC') - 1 IN (${SUMMER.join(', ')}) THEN 'summer' ELSE 'winter' END`,
	age: `CASE WHEN e.fitted_hours IS NULL THEN NULL WHEN j.pump_hours - e.fitted_hours <= ${AGES_H[0]} THEN 'new'
		WHEN j.pump_hours - e.fitted_hours <= ${AGES_H[1]} THEN 'middle' ELSE 'old' END`,
	way: 'd.way'
};

// Of each job and station, the way in which it was put in, where its sheet knows several; a step names stations or what was joined of them.
const waysOfJobs = `SELECT DISTINCT ON (s.job_id, x.station) s.job_id, x.station, w->>'text' AS way
	FROM log_entry s JOIN job f ON f.id = s.job_id JOIN model_sheet m ON m.id = f.model_sheet_id
	CROSS JOIN LATERAL jsonb_array_elements(m.body->'steps') t
	CROSS JOIN LATERAL jsonb_array_elements(t->'ways') w
	CROSS JOIN LATERAL (
		SELECT jsonb_array_elements_text(t->'stations') AS station
		UNION SELECT jsonb_array_elements_text(u->'parts') FROM jsonb_array_elements(m.body->'subAssemblies') u
			WHERE t->'stations' ? (u->>'key')
	) x
	WHERE s.shop_id = $1 AND s.kind = 'step' AND s.payload ? 'way' AND t->>'key' = s.payload->>'step' AND t->>'stage' = 'build'
		AND w->>'key' = s.payload->>'way' AND ${standing.replaceAll('e.', 's.')}
	ORDER BY s.job_id, x.station, coalesce(s.effective_at, s.at) DESC, s.seq DESC`;

// A part's own way is that of the rebuild which fitted it.
const fittedBy = `JOIN part_life l ON l.part_id = e.part_id AND l.pump_id = e.pump_id AND l.station = e.station
				AND l.fitted_hours IS NOT DISTINCT FROM e.fitted_hours
			JOIN (${waysOfJobs}) d ON d.job_id = l.fitted_job_id AND d.station = e.station`;

// Groups of ages are not held against their own age.
const ageOf = (by: ContrastedBy | 'pump') =>
	by === 'age'
		? '0'
		: `coalesce(width_bucket(j.pump_hours - e.fitted_hours, ARRAY[${AGE_BANDS_H.join(', ')}]::float8[]), -1)`;

const grouped = (by: ContrastedBy | 'pump', table: string) =>
	`(SELECT p.model, e.*, ${groupOf[by]} AS "group", ${ageOf(by)} AS age FROM ${table} e JOIN job j ON j.id = e.job_id
			JOIN pump p ON p.id = e.pump_id JOIN part a ON a.id = e.part_id ${by === 'way' ? fittedBy : ''} WHERE e.shop_id = $1)`;

/**
 * Marks, sizes beyond their limit and hours of every station of the shop's models in groups, age by age, as far as they are counted (see
 * `upToDate`); a group that no one knows is left out. By pump, for what is known of pumps elsewhere.
 */
export const eventsByGroup = (scope: ShopScope, by: ContrastedBy | 'pump'): Promise<GroupedEvents[]> =>
	rows(
		scope,
		`
		SELECT model, station, "group", age, NULL AS pattern, NULL AS size, 0 AS events, sum(hours) AS hours
		FROM ${grouped(by, 'counted_inspection')} counted WHERE "group" IS NOT NULL GROUP BY model, station, "group", age
		UNION ALL
		SELECT model, station, "group", age, pattern, NULL, count(*)::int, 0
		FROM ${grouped(by, 'counted_mark')} marks WHERE "group" IS NOT NULL GROUP BY model, station, "group", age, pattern
		UNION ALL
		SELECT model, station, "group", age, NULL, characteristic, count(*) FILTER (WHERE beyond)::int, sum(hours)
		FROM ${grouped(by, 'counted_size')} sizes WHERE "group" IS NOT NULL GROUP BY model, station, "group", age, characteristic`
	);
