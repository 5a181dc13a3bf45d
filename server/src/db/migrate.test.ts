// How a migration is tested: on a database of the schema before it, with rows in it.
import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { afterEach, expect, it } from 'vitest';
import { freshDatabase } from '../testing';
import { migrate, PreviewDatabase } from './migrate';
import * as tables from './tables';
import * as schema from './migrations/0001-schema';

let database: Awaited<ReturnType<typeof freshDatabase>>;
afterEach(() => database.drop());

/** A database of the first schema, which says that this migration made it. */
async function databaseOf(migration: string) {
	database = await freshDatabase('template0');
	const { sequelize } = database.db;
	await sequelize.query(schema.sql);
	await sequelize.query('CREATE TABLE migration (name varchar(255) PRIMARY KEY)');
	await sequelize.query('INSERT INTO migration VALUES ($1)', { bind: [migration] });
	return sequelize;
}

it('makes every table as its columns say, and says which of them may be empty', async () => {
	database = await freshDatabase();
	for (const { name, columns } of Object.values(tables)) {
		const found = await database.db.sequelize.query<{ column: string; empty: boolean }>(
			`SELECT column_name AS column, is_nullable = 'YES' AS empty FROM information_schema.columns
			 WHERE table_schema = 'public' AND table_name = $1`,
			{ bind: [name], type: QueryTypes.SELECT }
		);
		const stated = Object.entries(columns).map(([column, { allowNull = false }]) => ({
			column: column.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`),
			empty: allowNull
		}));
		const byName = (a: { column: string }, b: { column: string }) => (a.column < b.column ? -1 : 1);
		expect(stated.toSorted(byName), name).toEqual(found.toSorted(byName));
	}
});

it('brings a database of the first schema up to date, and keeps what is in it', async () => {
	const sequelize = await databaseOf(schema.name);
	const shop = randomUUID();
	await sequelize.query("INSERT INTO shop (id, name, currency) VALUES ($1, 'Quay', 'EUR')", { bind: [shop] });
	const settings = { school: 'onCondition', valves: 'singly', note: 'the "school": of the shop' };
	await sequelize.query('INSERT INTO policy (shop_id, settings) VALUES ($1, $2)', {
		bind: [shop, JSON.stringify(settings)]
	});
	await sequelize.query(`
		INSERT INTO "user" (id, shop_id, name, email, role) VALUES ('ada', '${shop}', 'Ada', 'ada@quay.example', 'lead');
		INSERT INTO model_sheet (id, shop_id, model, layout, revision, body)
			VALUES ('${shop}', '${shop}', 'Quay', 'L1', 1, '{}');
		INSERT INTO pump (id, shop_id, serial, model) VALUES ('${shop}', '${shop}', 'Q-1', 'Quay');
		INSERT INTO job (id, shop_id, pump_id, model_sheet_id, scope, complaint, meter_hours, pump_hours, received_at,
			received_by, arrival) VALUES ('${shop}', '${shop}', '${shop}', '${shop}', 'full', 'Drips', 0, 0, now(), 'ada',
			'{"place": "machine", "connections": "the \\"place\\": left"}')`);
	expect(await migrate(sequelize)).toEqual(['0002-sheet-drafts', '0003-laid-batches', '0004-terms', '0005-workplace']);
	expect(await migrate(sequelize)).toEqual([]);
	expect((await sequelize.query('SELECT id FROM shop'))[0]).toEqual([{ id: shop }]);
	const { school, ...others } = settings;
	expect((await sequelize.query('SELECT settings FROM policy'))[0]).toEqual([
		{ settings: { ...others, renewalPolicy: school } }
	]);
	expect((await sequelize.query('SELECT arrival FROM job'))[0]).toEqual([
		{ arrival: { workplace: 'machine', connections: 'the "place": left' } }
	]);
	for (const table of ['sheet_draft', 'laid_batch', 'inspection', 'standing_inspection', 'counted_inspection'])
		expect((await sequelize.query(`SELECT * FROM ${table}`))[0]).toEqual([]);
});

it('says what to do with a database of a preview, and leaves it as it is', async () => {
	const sequelize = await databaseOf('0001-foundation');
	await expect(migrate(sequelize)).rejects.toThrow(PreviewDatabase);
	expect((await sequelize.query("SELECT to_regclass('sheet_draft') AS draft"))[0]).toEqual([{ draft: null }]);
});
