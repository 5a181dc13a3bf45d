import type { ShopScope } from '../scope';
import { rows } from './statement';

export interface ReleasedJob {
	readonly id: string;
	readonly serial: string;
	readonly tag: string | null;
	readonly site: string | null;
	readonly releasedAt: Date;
	readonly replaced: number;
}

/** The jobs released last, each with how many parts it replaced. */
export const releasedJobs = (scope: ShopScope, most: number): Promise<ReleasedJob[]> =>
	rows(
		scope,
		`
		SELECT j.id, p.serial, p.tag, t.name AS site, j.released_at AS "releasedAt",
			(SELECT count(*)::int FROM part_life l WHERE l.removed_job_id = j.id) AS replaced
		FROM (SELECT * FROM job WHERE shop_id = $1 AND released_at IS NOT NULL ORDER BY released_at DESC LIMIT $2) j
		JOIN pump p ON p.id = j.pump_id LEFT JOIN site t ON t.id = p.site_id ORDER BY j.released_at DESC`,
		[most]
	);
