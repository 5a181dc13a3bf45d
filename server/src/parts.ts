import { v7 as uuidv7 } from 'uuid';
import type { EndReason } from '@exetasis/core/decide';
import { placesOf, type PartPlace } from '@exetasis/core/mat';
import type { ModelSheet } from '@exetasis/core/record';
import { rows, type ShopScope } from './db/query';

/** Gives every empty place of the pump a part of which nothing is known yet: what a pump brings when it first comes in. */
export async function fillEmptyPlaces(scope: ShopScope, pumpId: string, sheet: ModelSheet): Promise<void> {
	const places = placesOf(sheet).map((place) => ({ ...place, part: uuidv7(), life: uuidv7() }));
	await rows(
		scope,
		`
		WITH place AS (
			SELECT * FROM jsonb_to_recordset($3::jsonb) AS p(station text, type text, cylinder int, part uuid, life uuid)
			WHERE NOT EXISTS (SELECT 1 FROM part_life l WHERE l.shop_id = $1 AND l.pump_id = $2
				AND l.station = p.station AND l.cylinder = p.cylinder AND l.removed_job_id IS NULL)
		), added AS (
			INSERT INTO part (id, shop_id, type) SELECT part, $1::uuid, type FROM place
		)
		INSERT INTO part_life (id, shop_id, part_id, pump_id, station, cylinder)
		SELECT life, $1::uuid, part, $2::uuid, station, cylinder FROM place RETURNING 1`,
		[pumpId, JSON.stringify(places)]
	);
}

/** Lays the parts that sit in the pump now out on the mat of a job. */
export const layOut = (scope: ShopScope, jobId: string, pumpId: string): Promise<unknown> =>
	rows(
		scope,
		`
		INSERT INTO mat_cell (shop_id, job_id, part_id, station, cylinder)
		SELECT $1::uuid, $2::uuid, part_id, station, cylinder FROM part_life
		WHERE shop_id = $1 AND pump_id = $3 AND removed_job_id IS NULL RETURNING 1`,
		[jobId, pumpId]
	);

export interface Replacement extends PartPlace {
	readonly part: string;
	readonly endReason: EndReason;
	/** Sizes of the part that comes in its place, as far as they were measured. */
	readonly asFitted: Readonly<Record<string, number>>;
}

/** Ends the lives of the parts that are replaced, and begins those of new ones in their places. */
export async function replaceParts(
	scope: ShopScope,
	job: { id: string; pumpId: string; pumpHours: number },
	replaced: readonly Replacement[]
): Promise<void> {
	const places = replaced.map((place) => ({ ...place, next: uuidv7(), life: uuidv7() }));
	const json = JSON.stringify(places);
	await rows(
		scope,
		`
		UPDATE part_life l SET removed_job_id = $2, removed_hours = $3::double precision, end_reason = r."endReason"
		FROM jsonb_to_recordset($4::jsonb) AS r(part uuid, "endReason" text)
		WHERE l.shop_id = $1 AND l.part_id = r.part AND l.removed_job_id IS NULL RETURNING 1`,
		[job.id, job.pumpHours, json]
	);
	await rows(
		scope,
		`
		WITH place AS (
			SELECT * FROM jsonb_to_recordset($5::jsonb) AS p(station text, type text, cylinder int, next uuid, life uuid, "asFitted" jsonb)
		), added AS (INSERT INTO part (id, shop_id, type, as_fitted) SELECT next, $1::uuid, type, "asFitted" FROM place)
		INSERT INTO part_life (id, shop_id, part_id, pump_id, station, cylinder, fitted_job_id, fitted_hours)
		SELECT life, $1::uuid, next, $2::uuid, station, cylinder, $3::uuid, $4::double precision FROM place RETURNING 1`,
		[job.pumpId, job.id, job.pumpHours, json]
	);
}

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

export const livesOf = (scope: ShopScope, pumpId: string): Promise<LifeListing[]> =>
	rows(
		scope,
		`
		SELECT l.part_id AS part, l.station, l.cylinder, l.fitted_hours AS "fittedHours", l.removed_hours AS "removedHours",
			l.end_reason AS "endReason", f.released_at AS "fittedAt", r.released_at AS "removedAt", r.id AS "removedJob",
			coalesce((SELECT array_agg(DISTINCT k.pattern) FROM look k
				WHERE k.part_id = l.part_id AND k.pattern IS NOT NULL AND NOT k.withdrawn), '{}') AS patterns
		FROM part_life l LEFT JOIN job f ON f.id = l.fitted_job_id LEFT JOIN job r ON r.id = l.removed_job_id
		WHERE l.shop_id = $1 AND l.pump_id = $2
		ORDER BY l.station, l.cylinder, l.fitted_hours NULLS FIRST`,
		[pumpId]
	);
