import { spawnSync } from 'node:child_process';
import { chmodSync, copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';

let folder: string;
beforeEach(() => {
	folder = mkdtempSync(join(tmpdir(), 'exetasis-run-'));
	chmodSync(folder, 0o755);
	copyFileSync(fileURLToPath(new URL('run.mjs', import.meta.url)), join(folder, 'run.mjs'));
	mkdirSync(join(folder, 'closed'), { mode: 0o555 });
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const NOBODY = 65534;

/** Runs a main task as someone who may not write everywhere: root may. */
function ran(task: string) {
	writeFileSync(
		join(folder, 'task.mjs'),
		`import { writeFileSync } from 'node:fs'; import { Advice, main } from './run.mjs'; await main(async () => { ${task} });`
	);
	const as = process.getuid?.() === 0 ? { uid: NOBODY, gid: NOBODY } : {};
	const { status, stderr } = spawnSync(process.execPath, ['task.mjs'], { cwd: folder, encoding: 'utf8', ...as });
	return { status, said: stderr.trim() };
}

describe('what a command says when it cannot go on', () => {
	it('is one sentence about the folder that may not be written', () => {
		expect(ran(`writeFileSync('closed/lock', '');`)).toEqual({
			status: 1,
			said: 'closed/lock may not be written: give this user the right to, or start from a copy that may be written.'
		});
	});
	it('is the advice alone where there is one', () => {
		expect(ran(`throw new Advice('PORT=abc is no port.');`)).toEqual({ status: 1, said: 'PORT=abc is no port.' });
	});
	it('is the whole stack of what no one expected', () => {
		const { status, said } = ran(`throw new TypeError('odd');`);
		expect(status).toBe(1);
		expect(said).toContain('TypeError: odd');
		expect(said).toContain('task.mjs');
	});
});
