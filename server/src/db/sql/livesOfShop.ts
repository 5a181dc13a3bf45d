import type { EndReason } from '@exetasis/core/decide';
import type { Duty } from '../tables';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** One stay of a part at a place, with what lives are compared by. All hours are the pump's count. */
export interface LifeInShop {
	readonly pump: string;
	readonly serial: string;
	readonly model: string;
	readonly site: string | null;
	readonly liquid: string | null;
	readonly duty: Duty;
	/** How the parts that it runs with were when it was fitted: new with it, kept clean, or kept with a mark; null where no one can say. */
	readonly mate: 'new' | 'clean' | 'marked' | null;
	readonly station: string;
	readonly cylinder: number;
	readonly lot: string | null;
	readonly supplier: string | null;
	readonly kit: string | null;
	readonly fittedHours: number | null;
	readonly removedHours: number | null;
	readonly endReason: EndReason | null;
	/** The last inspection before it was removed, or the last one of all; null where it was not inspected. */
	readonly inspectedHours: number | null;
}

/** The lives of the parts of these stations, over all the shop's pumps of a model, that were fitted while the shop kept them. */
export const livesOfShop = (
	scope: ShopScope,
	model: string,
	station: string,
	mates: readonly string[]
): Promise<LifeInShop[]> =>
	rows(
		scope,
		`
		SELECT l.pump_id AS pump, p.serial, p.model, s.name AS site, p.duty->>'liquid' AS liquid, p.duty, l.station, l.cylinder,
			a.lot, a.supplier, a.kit, l.fitted_hours AS "fittedHours", l.removed_hours AS "removedHours", l.end_reason AS "endReason",
			(SELECT max(j.pump_hours) FROM standing_inspection k JOIN job j ON j.id = k.job_id
				WHERE k.part_id = l.part_id AND j.pump_id = l.pump_id AND j.id IS DISTINCT FROM l.removed_job_id) AS "inspectedHours",
			(SELECT CASE
					WHEN bool_or(m.fitted_job_id IS DISTINCT FROM l.fitted_job_id AND EXISTS (SELECT 1 FROM standing_inspection k
						WHERE k.job_id = l.fitted_job_id AND k.part_id = m.part_id AND k.pattern IS NOT NULL)) THEN 'marked'
					WHEN bool_and(coalesce(m.fitted_job_id = l.fitted_job_id, false)) THEN 'new'
					WHEN bool_and(coalesce(m.fitted_job_id = l.fitted_job_id, false) OR EXISTS (SELECT 1 FROM standing_inspection k
						WHERE k.job_id = l.fitted_job_id AND k.part_id = m.part_id)) THEN 'clean' END
				FROM part_life m WHERE m.pump_id = l.pump_id AND m.station = ANY($4) AND (m.cylinder = l.cylinder OR m.cylinder = 0 OR l.cylinder = 0)
					AND l.fitted_job_id IS NOT NULL AND coalesce(m.fitted_hours, 0) <= l.fitted_hours
					AND (m.removed_hours IS NULL OR m.removed_hours > l.fitted_hours)) AS mate
		FROM part_life l JOIN pump p ON p.id = l.pump_id JOIN part a ON a.id = l.part_id LEFT JOIN site s ON s.id = p.site_id
		WHERE l.shop_id = $1 AND p.model = $2 AND l.station = $3
		ORDER BY p.serial, l.cylinder, l.fitted_hours NULLS FIRST`,
		[model, station, mates]
	);
