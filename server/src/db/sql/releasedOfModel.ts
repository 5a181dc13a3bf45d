import type { ShopScope } from '../scope';
import { row } from './statement';

/** How many rebuilds of a model's pumps are released. */
export const releasedOfModel = async (scope: ShopScope, model: string): Promise<number> =>
	(await row<{ jobs: number }>(
		scope,
		`
		SELECT count(*)::int AS jobs FROM job j JOIN pump p ON p.id = j.pump_id
		WHERE j.shop_id = $1 AND p.model = $2 AND j.released_at IS NOT NULL`,
		[model]
	))!.jobs;
