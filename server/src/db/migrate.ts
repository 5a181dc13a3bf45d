import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as schema from './migrations/0001-schema';
import * as sheetDrafts from './migrations/0002-sheet-drafts';
import * as laidBatches from './migrations/0003-laid-batches';
import * as terms from './migrations/0004-terms';
import * as workplace from './migrations/0005-workplace';

interface Migration {
	readonly name: string;
	readonly sql: string;
}
const migrations: readonly Migration[] = [schema, sheetDrafts, laidBatches, terms, workplace];
const LOCK = 0x65786574; // any number of our own: "exet"

// The first migration before the schema was written as one.
const PREVIEW = '0001-foundation';

/** The database was made by a preview, whose migrations are no longer kept. */
export class PreviewDatabase extends Error {
	constructor() {
		super(
			'This database was made by a preview of Exetasis. Export its jobs with that preview, then start with a new one.'
		);
	}
}

/** Brings the schema up to date. Each migration is one transaction; two starts at once wait for each other. Errors: PreviewDatabase. */
export async function migrate(sequelize: Sequelize): Promise<string[]> {
	return sequelize.transaction(async (lock) => {
		await sequelize.query(`SELECT pg_advisory_xact_lock(${LOCK})`, { transaction: lock });
		const storage = new SequelizeStorage({ sequelize, tableName: 'migration' });
		if ((await storage.executed()).includes(PREVIEW)) throw new PreviewDatabase();
		const umzug = new Umzug({
			migrations: migrations.map(({ name, sql }) => ({
				name,
				up: () =>
					sequelize.transaction(async (transaction) => {
						await sequelize.query(sql, { transaction });
					})
			})),
			storage,
			logger: undefined
		});
		return (await umzug.up()).map(({ name }) => name);
	});
}
