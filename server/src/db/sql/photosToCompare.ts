import type { ShopScope } from '../scope';
import { rows, standing } from './statement';

/** A photograph that a part of this job can be held against. */
export interface PhotoToCompare {
	readonly job: string;
	readonly sha256: string;
	/** A new part, or the part that lay at this place. */
	readonly of: 'newPart' | 'partThere';
	readonly takenAt: Date;
}

const MOST_OF_EACH = 3;

/**
 * Photographs from other jobs: of what lay at this place of the pump, and of a new part at this station of the model, on
 * any pump; the newest of each.
 */
export const photosToCompare = (
	scope: ShopScope,
	job: { readonly id: string; readonly pumpId: string },
	place: { readonly station: string; readonly cylinder: number }
): Promise<PhotoToCompare[]> =>
	rows(
		scope,
		`
		SELECT job, sha256, "of", "takenAt" FROM (
			SELECT e.job_id AS job, e.payload->>'sha256' AS sha256, k."of", e.at AS "takenAt",
				row_number() OVER (PARTITION BY k."of" ORDER BY e.at DESC, e.seq DESC) AS nth
			FROM log_entry e JOIN job j ON j.id = e.job_id JOIN pump p ON p.id = j.pump_id
			JOIN mat_cell c ON c.job_id = e.job_id AND c.part_id = e.part_id
			JOIN photo h ON h.job_id = e.job_id AND h.sha256 = e.payload->>'sha256'
			CROSS JOIN LATERAL (SELECT CASE WHEN e.payload->>'of' = 'newPart' THEN 'newPart' ELSE 'partThere' END AS "of") k
			WHERE j.shop_id = $1 AND e.kind = 'photo' AND e.job_id <> $2 AND c.station = $4 AND ${standing}
				AND CASE k."of" WHEN 'partThere' THEN j.pump_id = $3 AND c.cylinder = $5
					ELSE p.model = (SELECT model FROM pump WHERE id = $3) END
		) photos WHERE nth <= ${MOST_OF_EACH} ORDER BY "of", "takenAt" DESC`,
		[job.id, job.pumpId, place.station, place.cylinder]
	);
