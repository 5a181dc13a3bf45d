import { QueryTypes, type Transaction } from 'sequelize';
import type { Database } from './connection';

/** One shop's view of the database, and the transaction it works in, if any. Every service takes it first. */
export interface ShopScope {
	readonly db: Database;
	readonly shopId: string;
	readonly transaction?: Transaction;
}

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

/** Runs the work in one transaction; it commits when the work resolves and rolls back when it throws. */
export const inTransaction = <T>(scope: ShopScope, work: (scope: ShopScope) => Promise<T>): Promise<T> =>
	scope.db.sequelize.transaction((transaction) => work({ ...scope, transaction }));
