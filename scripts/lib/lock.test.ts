import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from 'vitest';
import { takeLock, writeWhole } from './lock.mjs';
import { rotatingLog } from './rotatingLog.mjs';

let folder: string;
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'exetasis-lock-'))));
// The name under which this very process runs.
const program = readFileSync(`/proc/${process.pid}/cmdline`, 'utf8')
	.split('\0')
	.find((word) => word.includes('/'))!;

describe('the lock of a start', () => {
	const path = () => join(folder, 'running.json');
	it('is taken once: the second start hears of the first', () => {
		expect(takeLock(path(), program)).toEqual({ taken: true, left: {} });
		writeWhole(path(), JSON.stringify({ pid: process.pid, address: 'http://localhost:1' }));
		expect(takeLock(path(), program)).toEqual({
			taken: false,
			holder: { pid: process.pid, address: 'http://localhost:1' }
		});
	});
	it.each([
		['that is empty', ''],
		['that is cut off', '{"pid":'],
		['of a process that is gone', '{"pid":2147483646,"server":7}'],
		['of a number that is somebody else’s now', `{"pid":1}`]
	])('%s is taken over', (_, text) => {
		writeFileSync(path(), text);
		expect(takeLock(path(), program)).toMatchObject({ taken: true });
		expect(JSON.parse(readFileSync(path(), 'utf8'))).toEqual({ pid: process.pid });
		expect(readdirSync(folder)).toEqual(['running.json']);
	});
});

describe('the rotating log', () => {
	it('is put aside where it is full, and only a few are kept', () => {
		const log = rotatingLog(join(folder, 'log/server.log'));
		const line = `${'x'.repeat(999_999)}\n`;
		for (let i = 0; i < 45; i++) log.write(line);
		log.write('last\n');
		const kept = readdirSync(join(folder, 'log')).sort();
		expect(kept[0]).toBe('server.log');
		expect(kept.length).toBeLessThanOrEqual(6);
		expect(readFileSync(join(folder, 'log/server.log'), 'utf8')).toMatch(/last\n$/);
	});
});
