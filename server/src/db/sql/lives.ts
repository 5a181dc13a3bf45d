import type { EndReason } from '@exetasis/core/decide';
import type { ShopScope } from '../scope';
import { rows } from './statement';

/** A part's life as the pump's page shows it. */
export interface LifeListing {
	readonly part: string;
	readonly station: string;
	readonly cylinder: number;
	readonly fittedHours: number | null;
	readonly removedHours: number | null;
	readonly endReason: EndReason | null;
	readonly fittedAt: Date | null;
	readonly removedAt: Date | null;
	readonly removedJob: string | null;
	/** What was found on it when it was taken out or last looked at. */
	readonly patterns: string[];
}

/** All lives at the places of a pump, or those at one of its places alone. */
export const lives = (
	scope: ShopScope,
	pumpId: string,
	place?: { readonly station: string; readonly cylinder: number }
): Promise<LifeListing[]> =>
	rows(
		scope,
		`
		SELECT l.part_id AS part, l.station, l.cylinder, l.fitted_hours AS "fittedHours", l.removed_hours AS "removedHours",
			l.end_reason AS "endReason", f.released_at AS "fittedAt", r.released_at AS "removedAt", r.id AS "removedJob",
			coalesce((SELECT array_agg(DISTINCT k.pattern) FROM standing_inspection k
				WHERE k.part_id = l.part_id AND k.pattern IS NOT NULL), '{}') AS patterns
		FROM part_life l LEFT JOIN job f ON f.id = l.fitted_job_id LEFT JOIN job r ON r.id = l.removed_job_id
		WHERE l.shop_id = $1 AND l.pump_id = $2 AND ($3::text IS NULL OR (l.station = $3 AND l.cylinder = $4))
		ORDER BY l.station, l.cylinder, l.fitted_hours NULLS FIRST`,
		[pumpId, place?.station ?? null, place?.cylinder ?? null]
	);
