import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { append } from '@exetasis/server/benchLog/append';
import { decideAll, freshDatabase, makeShop, openJob } from '@exetasis/server/testing';
import { ofDatabase, tool } from './lib/pgTools.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const command = (script: string, url: string, ...args: string[]) =>
	spawnSync('node', [`scripts/${script}.mjs`, ...args], {
		cwd: root,
		encoding: 'utf8',
		env: { ...process.env, DATABASE_URL: url }
	});
const folder = mkdtempSync(join(tmpdir(), 'exetasis-backup-'));
const file = join(folder, 'shop.backup');
const copy = `restored_${process.pid}`;

let database: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
	database = await freshDatabase();
	const shop = await makeShop(database.db, 'Harrow');
	const bench = await openJob(shop);
	await append(shop.scope, shop.people.technician, bench.job.id, decideAll(bench, shop.people.technician, 'reuse'));
});
afterAll(async () => {
	rmSync(folder, { recursive: true });
	tool('dropdb', ['--if-exists', copy], ofDatabase(database.url, 'postgres'));
	await database.drop();
});

// The same text for the same data, whatever the order of the rows on disk.
const exported = (url: string) =>
	tool('pg_dump', ['--data-only', '--inserts'], url)
		.split('\n')
		.filter((line) => line.startsWith('INSERT'))
		.sort();

it('a backup restores to the identical data, and never over a database that holds something', () => {
	expect(command('backup', database.url, file)).toMatchObject({ status: 0 });
	expect(command('backup', database.url, file).stderr).toContain('is there already');
	expect(command('restore', database.url, file, copy)).toMatchObject({ status: 0 });
	const before = exported(database.url);
	expect(before.length).toBeGreaterThan(100);
	expect(exported(ofDatabase(database.url, copy))).toEqual(before);
	for (const args of [[file], [file, copy]]) {
		const refused = command('restore', database.url, ...args);
		expect([refused.status, refused.stderr]).toEqual([1, expect.stringContaining('holds something already')]);
	}
});
it('says what it lacks', () => {
	expect(command('backup', database.url).stderr).toContain('Say where to');
	expect(command('restore', database.url, join(folder, 'none')).stderr).toContain('There is no file');
	expect(existsSync(`${file}.part`)).toBe(false);
});
