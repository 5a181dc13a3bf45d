import { chmodSync, existsSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { privateCluster } from './postgres.mjs';

let base: string;
let cluster: ReturnType<typeof privateCluster>;
beforeEach(() => {
	base = mkdtempSync(join(tmpdir(), 'exetasis-pg-'));
	chmodSync(base, 0o755);
	cluster = privateCluster(join(base, 'postgres'));
});
afterEach(() => {
	cluster.stop();
	rmSync(base, { recursive: true, force: true });
});

describe('the private cluster', () => {
	it('is made again where a start was killed while it was being made', async () => {
		for (const fragment of ['postgres', 'postgres.unfinished']) {
			mkdirSync(join(base, fragment, 'global'), { recursive: true });
			writeFileSync(join(base, fragment, 'postgresql.conf'), 'half a li');
		}
		writeFileSync(join(base, 'postgres-password'), '');
		const { url } = await cluster.start();
		expect(url('postgres')).toMatch(/^postgres:\/\/exetasis:[0-9a-f]{48}@127/);
		expect(existsSync(join(base, 'postgres.unfinished'))).toBe(false);
	});
	it('starts beside a lock that names another program’s process', async () => {
		const first = await cluster.start();
		cluster.stop();
		writeFileSync(join(base, 'postgres/postmaster.pid'), `${process.pid}\n\n\n${first.port}\n`);
		expect(cluster.isRunning()).toBe(false);
		await cluster.start();
		expect(cluster.isRunning()).toBe(true);
	});
});
