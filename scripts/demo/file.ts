// The demo as a file: every row of a database as JSON, written once and loaded in seconds at a first start.
import { readFileSync, writeFileSync } from 'node:fs';
import { brotliCompressSync, brotliDecompressSync, constants } from 'node:zlib';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

const DEMO_FILE = new URL('../../demo/demo.jsonl.br', import.meta.url);
const ROWS_AT_ONCE = 2000;
const DAY_MS = 86_400_000;

export interface Demo {
	/** The moment at which its history ends. */
	readonly now: Date;
	/** The rows of each table as JSON texts. The tables are in an order in which each row finds the rows it points to. */
	readonly tables: ReadonlyMap<string, readonly string[]>;
}

// What a server writes for itself; the schema's own list of migrations.
const LEFT_OUT = ['migration', 'session', 'verification', 'rate_limit'];

async function tablesInOrder(db: Sequelize): Promise<string[]> {
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

/** All rows of a database whose history ends at `now`. */
export async function readDatabase(db: Sequelize, now: Date): Promise<Demo> {
	const tables = new Map<string, string[]>();
	for (const name of await tablesInOrder(db)) {
		// The log's entries are numbered as they were taken in.
		const order = name === 'log_entry' ? 't.seq' : 't::text';
		const rows = await db.query<{ row: string }>(`SELECT to_jsonb(t)::text AS row FROM "${name}" t ORDER BY ${order}`, {
			type: QueryTypes.SELECT
		});
		if (rows.length > 0)
			tables.set(
				name,
				rows.map(({ row }) => row)
			);
	}
	return { now, tables };
}

/** Writes the demo's file: its moment, then for each table a line with its name and number of rows, and the rows. */
export function writeFile({ now, tables }: Demo): void {
	const lines = [JSON.stringify({ now })];
	for (const [table, rows] of tables) lines.push(JSON.stringify({ table, rows: rows.length }), ...rows);
	const text = Buffer.from(lines.join('\n'));
	const params = { [constants.BROTLI_PARAM_LGWIN]: constants.BROTLI_MAX_WINDOW_BITS };
	writeFileSync(DEMO_FILE, brotliCompressSync(text, { params }));
}

/** Reads the demo's file. */
export function readFile(): Demo {
	const [head, ...lines] = brotliDecompressSync(readFileSync(DEMO_FILE)).toString().split('\n');
	const tables = new Map<string, string[]>();
	for (let i = 0; i < lines.length;) {
		const { table, rows } = JSON.parse(lines[i]) as { table: string; rows: number };
		tables.set(table, lines.slice(i + 1, i + 1 + rows));
		i += 1 + rows;
	}
	return { now: new Date((JSON.parse(head) as { now: string }).now), tables };
}

const DAYS_AND_MOMENTS = /"(\d{4}-\d\d-\d\d)(T\d\d:\d\d:\d\d(?:\.\d+)?(?:Z|[+-]\d\d:\d\d))?"/g;

/** A row with every day and moment in it, also deep in it, so many milliseconds later. */
export function later(row: string, by: number): string {
	const days = Math.round(by / DAY_MS) * DAY_MS;
	return row.replaceAll(DAYS_AND_MOMENTS, (_, day: string, time?: string) =>
		time
			? `"${new Date(Date.parse(day + time) + by).toISOString()}"`
			: `"${new Date(Date.parse(day) + days).toISOString().slice(0, 10)}"`
	);
}

async function insert(db: Sequelize, transaction: Transaction, table: string, rows: readonly string[]): Promise<void> {
	const columns = Object.keys(JSON.parse(rows[0]) as object)
		.map((name) => `"${name}"`)
		.join(', ');
	await db.query(
		`INSERT INTO "${table}" (${columns}) OVERRIDING SYSTEM VALUE
		 SELECT ${columns} FROM json_populate_recordset(NULL::"${table}", $1::json)`,
		{ bind: [`[${rows.join()}]`], transaction }
	);
}

/** Loads the demo into an empty, migrated database, whole or not at all; its history ends `now`. */
export async function loadDemo(db: Sequelize, demo: Demo, now: Date): Promise<void> {
	const by = now.getTime() - demo.now.getTime();
	await db.transaction(async (transaction) => {
		for (const [table, rows] of demo.tables)
			for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
				const some = rows.slice(from, from + ROWS_AT_ONCE).map((row) => later(row, by));
				await insert(db, transaction, table, some);
			}
		await db.query(`SELECT setval(pg_get_serial_sequence('log_entry', 'seq'), max(seq)) FROM log_entry`, {
			transaction
		});
	});
	await db.query('ANALYZE');
}
