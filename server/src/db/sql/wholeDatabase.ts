// A whole database as JSON rows: for the demo's file.
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

const LOCK = 0x64656d6f; // any number of our own: "demo"

// What a server writes for itself; the schema's own list of migrations.
const LEFT_OUT = ['migration', 'session', 'verification', 'rate_limit'];

/** The tables, in an order in which each row finds the rows it points to. */
export async function tablesInOrder(db: Sequelize): Promise<string[]> {
	const names = await db.query<{ name: string }>(
		`SELECT relname AS name FROM pg_class WHERE relnamespace = 'public'::regnamespace AND relkind = 'r' ORDER BY 1`,
		{ type: QueryTypes.SELECT }
	);
	const needs = await db.query<{ from: string; to: string }>(
		`SELECT DISTINCT a.relname AS from, b.relname AS to
		 FROM pg_constraint c JOIN pg_class a ON a.oid = c.conrelid JOIN pg_class b ON b.oid = c.confrelid
		 WHERE c.contype = 'f' AND c.connamespace = 'public'::regnamespace`,
		{ type: QueryTypes.SELECT }
	);
	const ordered: string[] = [];
	const left = new Set(names.map(({ name }) => name).filter((name) => !LEFT_OUT.includes(name)));
	while (left.size > 0) {
		const next = [...left].find((name) => !needs.some(({ from, to }) => from === name && to !== name && left.has(to)));
		if (!next) throw new Error(`tables that point to each other in a circle: ${[...left].join(', ')}`);
		left.delete(next);
		ordered.push(next);
	}
	return ordered;
}

/** The rows of a table as JSON texts. The log's entries are numbered as they were taken in. */
export async function rowsAsJson(db: Sequelize, table: string): Promise<string[]> {
	const order = table === 'log_entry' ? 't.seq' : 't::text';
	const rows = await db.query<{ row: string }>(`SELECT to_jsonb(t)::text AS row FROM "${table}" t ORDER BY ${order}`, {
		type: QueryTypes.SELECT
	});
	return rows.map(({ row }) => row);
}

/** Inserts rows that are JSON texts. */
export async function insertJson(
	db: Sequelize,
	transaction: Transaction,
	table: string,
	rows: readonly string[]
): Promise<void> {
	const columns = Object.keys(JSON.parse(rows[0]) as object)
		.map((name) => `"${name}"`)
		.join(', ');
	await db.query(
		`INSERT INTO "${table}" (${columns}) OVERRIDING SYSTEM VALUE
		 SELECT ${columns} FROM json_populate_recordset(NULL::"${table}", $1::json)`,
		{ bind: [`[${rows.join()}]`], transaction }
	);
}

/** Waits until no other load of the demo runs, then says whether the demo is there, and the last number of the log. */
export async function demoAndLog(
	db: Sequelize,
	transaction: Transaction
): Promise<{ readonly demo: boolean; readonly lastSeq: number }> {
	await db.query(`SELECT pg_advisory_xact_lock(${LOCK})`, { transaction });
	const [found] = await db.query<{ demo: boolean; lastSeq: number }>(
		`SELECT EXISTS (SELECT FROM shop WHERE demo) AS demo, coalesce((SELECT max(seq) FROM log_entry), 0)::int AS "lastSeq"`,
		{ type: QueryTypes.SELECT, transaction }
	);
	return found;
}

/** Lets new entries of the log be numbered after those that were inserted. */
export async function continueNumbers(db: Sequelize, transaction: Transaction): Promise<void> {
	await db.query(`SELECT setval(pg_get_serial_sequence('log_entry', 'seq'), max(seq)) FROM log_entry`, { transaction });
}

/** Gives the planner its statistics after many rows were inserted. */
export async function analyze(db: Sequelize): Promise<void> {
	await db.query('ANALYZE');
}
