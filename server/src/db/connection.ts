import { BaseError, ConnectionError, Sequelize } from 'sequelize';
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
		pool: { max: 10, idle: 10_000, acquire: 15_000 },
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

/** Resolves where the database answers. */
export const answers = (): Promise<void> => database().sequelize.authenticate();

// PostgreSQL's classes of lost connections, exhausted resources and interventions, and what the network says of them.
const LOST = /^(08|53|57P)|^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND)$/;

/** Whether an error says that the database could not be reached, as against refusing what was asked of it. */
export function isUnreachable(cause: unknown): boolean {
	if (cause instanceof ConnectionError) return true;
	const { code, message, cause: deeper } = cause as { code?: string; message?: string; cause?: unknown };
	const own = cause instanceof BaseError ? (cause as { original?: { code?: string } }).original?.code : code;
	if (LOST.test(own ?? '') || /connection terminated|not queryable/i.test(message ?? '')) return true;
	return deeper ? isUnreachable(deeper) : false;
}
