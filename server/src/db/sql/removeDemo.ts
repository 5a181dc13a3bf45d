import type { Database } from '../connection';

/** Removes the demo's shops with all that belongs to them. Other shops stay as they are. Returns how many shops were removed. */
export async function removeDemo({ sequelize }: Database): Promise<number> {
	return sequelize.transaction(async (transaction) => {
		const run = (sql: string) => sequelize.query(sql, { transaction });
		const [shops] = (await run('SELECT id FROM shop WHERE demo')) as [{ id: string }[], unknown];
		if (shops.length === 0) return 0;
		const [tables] = (await run(
			`SELECT table_name AS name FROM information_schema.columns
			 WHERE table_schema = 'public' AND column_name = 'shop_id'
			   AND table_name IN (SELECT tablename FROM pg_tables WHERE schemaname = 'public')`
		)) as [{ name: string }[], unknown];
		// The log refuses to be deleted from; a whole shop that leaves is the one exception.
		await run('ALTER TABLE log_entry DISABLE TRIGGER USER');
		const left = new Set(tables.map(({ name }) => name));
		// Tables that others point to go last: a table whose rows are still needed is tried again after the others.
		for (let before = -1; left.size > 0 && left.size !== before;) {
			before = left.size;
			for (const name of left) {
				await run('SAVEPOINT one');
				try {
					await run(`DELETE FROM "${name}" WHERE shop_id IN (SELECT id FROM shop WHERE demo)`);
					left.delete(name);
				} catch {
					await run('ROLLBACK TO SAVEPOINT one');
				}
			}
		}
		if (left.size > 0) throw new Error(`the demo is still needed by: ${[...left].join(', ')}`);
		await run('ALTER TABLE log_entry ENABLE TRIGGER USER');
		await run('DELETE FROM shop WHERE demo');
		return shops.length;
	});
}
