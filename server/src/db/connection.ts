import { Sequelize } from 'sequelize';
import { defineModels } from './models';

/** The database that DATABASE_URL names; the start command and the tests set it. */
function databaseUrl(): string {
	const url = process.env.DATABASE_URL;
	if (!url) throw new Error('DATABASE_URL is not set: start Exetasis with "npm start".');
	return url;
}

/** Opens a connection pool. Float columns arrive as numbers, timestamps as Date. */
export function connect(url = databaseUrl()) {
	const sequelize = new Sequelize(url, {
		dialect: 'postgres',
		logging: false,
		pool: { max: 10, idle: 10_000 },
		define: { underscored: true, timestamps: false, freezeTableName: true }
	});
	return { sequelize, models: defineModels(sequelize) };
}

export type Database = ReturnType<typeof connect>;

let shared: Database | undefined;
/** The pool of this process, opened at the first call. */
export const database = (): Database => (shared ??= connect());

/** Closes this process's pool, if it was opened. */
export async function closeDatabase(): Promise<void> {
	await shared?.sequelize.close();
	shared = undefined;
}
