// The demo as a file: every row of a database as JSON, written once and loaded in seconds at a first start.
import { readFileSync, writeFileSync } from 'node:fs';
import { brotliCompressSync, brotliDecompressSync, constants } from 'node:zlib';
import type { Sequelize } from 'sequelize';
import { analyze, continueNumbers, demoAndLog, insertJson, rowsAsJson, tablesInOrder } from '../db/sql/wholeDatabase';

// The built server lies elsewhere and is told where the file is.
const demoFile = () => process.env.DEMO_FILE ?? new URL('../../../demo/demo.jsonl.br', import.meta.url);
const ROWS_AT_ONCE = 2000;
const DAY_MS = 86_400_000;

export interface Demo {
	/** The moment at which its history ends. */
	readonly now: Date;
	/** The rows of each table as JSON texts. The tables are in an order in which each row finds the rows it points to. */
	readonly tables: ReadonlyMap<string, readonly string[]>;
}

/** All rows of a database whose history ends at `now`. */
export async function readDatabase(db: Sequelize, now: Date): Promise<Demo> {
	const tables = new Map<string, string[]>();
	for (const table of await tablesInOrder(db)) {
		const rows = await rowsAsJson(db, table);
		if (rows.length > 0) tables.set(table, rows);
	}
	return { now, tables };
}

/** Writes the demo's file: its moment, then for each table a line with its name and number of rows, and the rows. */
export function writeDemoFile({ now, tables }: Demo): void {
	const lines = [JSON.stringify({ now })];
	for (const [table, rows] of tables) lines.push(JSON.stringify({ table, rows: rows.length }), ...rows);
	const text = Buffer.from(lines.join('\n'));
	const params = { [constants.BROTLI_PARAM_LGWIN]: constants.BROTLI_MAX_WINDOW_BITS };
	writeFileSync(demoFile(), brotliCompressSync(text, { params }));
}

/** Reads the demo's file. */
export function readDemoFile(): Demo {
	const [head, ...lines] = brotliDecompressSync(readFileSync(demoFile())).toString().split('\n');
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

/**
 * Loads the demo into a migrated database, completely or not at all, beside shops that are there; its history ends `now`. The entries
 * of its log are numbered after those that are there. A demo that is there is left as it is.
 */
export async function loadDemo(db: Sequelize, demo: Demo, now: Date): Promise<'loaded' | 'there'> {
	const by = now.getTime() - demo.now.getTime();
	const result = await db.transaction(async (transaction) => {
		const found = await demoAndLog(db, transaction);
		if (found.demo) return 'there';
		for (const [table, rows] of demo.tables)
			for (let from = 0; from < rows.length; from += ROWS_AT_ONCE) {
				const some = rows
					.slice(from, from + ROWS_AT_ONCE)
					.map((row) => later(table === 'log_entry' ? renumbered(row, found.lastSeq) : row, by));
				await insertJson(db, transaction, table, some);
			}
		await continueNumbers(db, transaction);
		return 'loaded';
	});
	await analyze(db);
	return result;
}

// An entry of the log with its number so much higher.
function renumbered(row: string, by: number): string {
	if (by === 0) return row;
	const entry = JSON.parse(row) as { seq: number };
	return JSON.stringify({ ...entry, seq: entry.seq + by });
}
