import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { groupBy } from '@exetasis/core/list';
import { freshDatabase, makeShop, openJob } from '@exetasis/server/testing';
import { later, loadDemo, readDatabase, readDemoFile, type Demo } from '@exetasis/server/setup/demoFile';
import { generate } from './generate';

type Database = Awaited<ReturnType<typeof freshDatabase>>;
type Row = Record<string, unknown>;
const rowsOf = ({ tables }: Demo, table: string) =>
	(tables.get(table) ?? []).map((row) => JSON.parse(row) as Row & { payload: unknown });

const demo = readDemoFile();
let made: Database;
let loaded: Database;
beforeAll(async () => {
	[made, loaded] = await Promise.all([freshDatabase(), freshDatabase()]);
}, 60_000);
afterAll(() => Promise.all([made.drop(), loaded.drop()]));

const UUID = /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;
// Every generation draws other ids: each is named by its turn instead.
function withoutIds(text: string): string {
	const turns = new Map<string, string>();
	return text.replaceAll(UUID, (id) => {
		if (!turns.has(id)) turns.set(id, `#${turns.size}`);
		return turns.get(id)!;
	});
}

// What happened in each job, under its pump's serial and its day.
function histories(of: Demo): Map<string, string> {
	const serials = new Map(rowsOf(of, 'pump').map(({ id, serial }) => [id, serial as string]));
	const entries = groupBy(rowsOf(of, 'log_entry'), (entry) => entry.job_id as string);
	return new Map(
		rowsOf(of, 'job').map(({ id, pump_id, received_at, scope, complaint, customer, meter_hours }) => [
			`${serials.get(pump_id)} ${received_at as string}`,
			withoutIds(
				JSON.stringify([
					{ scope, complaint, customer, meter_hours },
					...(entries.get(id as string) ?? []).map(({ kind, at, payload }) => ({ kind, at, payload }))
				])
			)
		])
	);
}

describe('the demo’s file', () => {
	it('holds what the generator makes (else: npm run demo:dump)', { timeout: 240_000 }, async () => {
		await generate(made.db, { now: demo.now, mostRebuilds: 4 });
		const fresh = await readDatabase(made.db.sequelize, demo.now);
		const filed = histories(demo);
		const happened = histories(fresh);
		expect(happened.size).toBe(9); // four of each fleet, and the pump without a sheet
		for (const [job, history] of happened) expect(filed.get(job), job).toBe(history);
		const plain = (of: Demo, table: string, ...left: string[]) =>
			rowsOf(of, table)
				.map((row) => withoutIds(JSON.stringify(row, (key, value: unknown) => (left.includes(key) ? null : value))))
				.sort();
		expect(plain(demo, 'model_sheet', 'created_at')).toEqual(plain(fresh, 'model_sheet', 'created_at'));
		for (const table of ['gauge', 'stock', 'shim', 'site']) expect(plain(demo, table)).toEqual(plain(fresh, table));
	});

	it('loads whole beside a shop that works, with its history up to now, and once', { timeout: 120_000 }, async () => {
		const now = new Date(demo.now.getTime() + 40 * 86_400_000 + 5000);
		await openJob(await makeShop(loaded.db, 'Quay Pumps'));
		const before = await readDatabase(loaded.db.sequelize, now);
		const lastSeq = Math.max(...rowsOf(before, 'log_entry').map((entry) => entry.seq as number));
		expect(await loadDemo(loaded.db.sequelize, demo, now)).toBe('loaded');
		expect(await loadDemo(loaded.db.sequelize, demo, now)).toBe('there');
		const back = await readDatabase(loaded.db.sequelize, now);
		for (const [table, rows] of demo.tables) {
			expect(back.tables.get(table)?.length, table).toBe(rows.length + (before.tables.get(table)?.length ?? 0));
			// A column that the file lacks, or has too much, is a schema that changed after it was written.
			expect(Object.keys(rowsOf(back, table)[0]).sort(), table).toEqual(Object.keys(rowsOf(demo, table)[0]).sort());
		}
		const [job] = rowsOf(demo, 'job');
		const moved = rowsOf(back, 'job').find(({ id }) => id === job.id)!;
		expect(Date.parse(moved.received_at as string) - Date.parse(job.received_at as string)).toBe(
			40 * 86_400_000 + 5000
		);
		const [{ seq }] = (await loaded.db.sequelize.query(`SELECT nextval('log_entry_seq_seq') AS seq`))[0] as Row[];
		expect(Number(seq)).toBe(lastSeq + Math.max(...rowsOf(demo, 'log_entry').map((entry) => entry.seq as number)) + 1);
	});

	it('moves days and moments, and no other text', () => {
		const day = 86_400_000;
		expect(later('{"on": "2026-02-28", "at": "2026-02-28T23:30:00Z", "says": "2026-02-28 was cold"}', day)).toBe(
			'{"on": "2026-03-01", "at": "2026-03-01T23:30:00.000Z", "says": "2026-02-28 was cold"}'
		);
		expect(later('{"at": "2026-02-28T23:30:00.5+01:00"}', -day)).toBe('{"at": "2026-02-27T22:30:00.500Z"}');
		expect(later('{"lot": "2026-02"}', day)).toBe('{"lot": "2026-02"}');
	});
});
