import { QueryTypes } from 'sequelize';
import type { Database } from '../connection';
import { tablesInOrder } from './wholeDatabase';

/** Removes the demo's shops with all that belongs to them. Other shops stay as they are. Returns how many shops were removed. */
export async function removeDemo({ sequelize }: Database): Promise<number> {
	return sequelize.transaction(async (transaction) => {
		const withShop = await sequelize.query<{ name: string }>(
			`SELECT table_name AS name FROM information_schema.columns
			 WHERE table_schema = 'public' AND column_name = 'shop_id'`,
			{ type: QueryTypes.SELECT, transaction }
		);
		const tables = (await tablesInOrder(sequelize)).filter((table) => withShop.some(({ name }) => name === table));
		// The log refuses to be deleted from; a shop that leaves completely is the one exception.
		await sequelize.query('ALTER TABLE log_entry DISABLE TRIGGER USER', { transaction });
		for (const table of tables.reverse())
			await sequelize.query(`DELETE FROM "${table}" WHERE shop_id IN (SELECT id FROM shop WHERE demo)`, {
				transaction
			});
		await sequelize.query('ALTER TABLE log_entry ENABLE TRIGGER USER', { transaction });
		const removed = await sequelize.query<{ id: string }>('DELETE FROM shop WHERE demo RETURNING id', {
			type: QueryTypes.SELECT,
			transaction
		});
		return removed.length;
	});
}
