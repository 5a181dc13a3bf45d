import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { heavily, useThreads } from './heavy';

let folder: string;
beforeAll(() => (folder = mkdtempSync(join(tmpdir(), 'exetasis-thread-'))));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A thread's script that does this with each question. */
function script(name: string, answering: string): URL {
	const path = join(folder, name);
	writeFileSync(
		path,
		`import { parentPort } from 'node:worker_threads'; parentPort.on('message', ({ id, task, of }) => { ${answering} });`
	);
	return pathToFileURL(path);
}

const nothing = { lives: [], unknownAge: 3, endedUnwatched: 0, watched: [] };
const ask = () => heavily('summaryOf', nothing, []);

describe('what takes long', () => {
	it('is worked here where the server has no threads', async () =>
		expect(await ask()).toMatchObject({ unknownAge: 3, groups: [] }));
	it('is worked in a thread where it has', async () => {
		await useThreads(script('works.mjs', 'parentPort.postMessage({ id, answer: { task, asked: of.length } });'));
		expect(await ask()).toEqual({ task: 'summaryOf', asked: 2 });
		expect(await Promise.all([ask(), ask(), ask()])).toHaveLength(3);
	});
	it('is worked here where its thread dies, says that it failed, or was never there', async () => {
		for (const [name, does] of [
			['dies.mjs', 'process.exit(3);'],
			['fails.mjs', `parentPort.postMessage({ id, problem: 'out of memory' });`],
			['throws.mjs', 'throw new Error("broken");']
		]) {
			await useThreads(script(name, does));
			expect(await ask()).toMatchObject({ unknownAge: 3, groups: [] });
		}
		await useThreads(pathToFileURL(join(folder, 'none.mjs')));
		expect(await ask()).toMatchObject({ unknownAge: 3, groups: [] });
	});
});
