import { QueryTypes } from 'sequelize';
import type { ShopScope } from '../scope';

/**
 * Runs one statement within the shop's scope. $1 is always the shop: a statement that does not use it is refused,
 * so that no query can forget it. Further values follow from $2 on.
 */
export async function rows<T>(
	{ db, shopId, transaction }: ShopScope,
	sql: string,
	values: readonly unknown[] = []
): Promise<T[]> {
	if (!/\$1\b/.test(sql)) throw new Error(`query without its shop ($1): ${sql.slice(0, 80)}`);
	const bind = [shopId, ...values];
	return (await db.sequelize.query(sql, { bind, type: QueryTypes.SELECT, transaction })) as T[];
}

/** The first row, or undefined. */
export const row = async <T>(scope: ShopScope, sql: string, values: readonly unknown[] = []): Promise<T | undefined> =>
	(await rows<T>(scope, sql, values))[0];

/** Holds for an entry e of the log that was not taken back. */
export const standing = `NOT EXISTS (SELECT 1 FROM withdrawn_entry w WHERE w.shop_id = e.shop_id AND w.entry_id = e.id)`;

/** The readings r of one size together, as the core takes them. */
export const readings = `json_agg(jsonb_strip_nulls(jsonb_build_object('row', r.grid_row, 'column', r.grid_column, 'value', r.value,
			'gauge', r.gauge_id, 'partC', r.part_c, 'gaugeC', r.gauge_c)))`;
