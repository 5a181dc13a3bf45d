import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { runHeavy } from './heavy';
import { endThreads, inThread, TookTooLong, useThreads } from './threads';

let folder: string;
beforeAll(() => (folder = mkdtempSync(join(tmpdir(), 'exetasis-thread-'))));
afterAll(async () => {
	await endThreads();
	rmSync(folder, { recursive: true, force: true });
});

/** A thread's script that does this with each question. */
function script(name: string, answering: string): URL {
	const path = join(folder, name);
	writeFileSync(path, `export default async ({ task, of }) => { ${answering} };`);
	return pathToFileURL(path);
}

const nothing = { lives: [], unknownAge: 3, endedUnwatched: 0, watched: [] };
const ask = (shop = 'a') => runHeavy(shop, 'summaryOf', nothing, []);

describe('what takes long', () => {
	it('is worked here where the server has no threads', async () =>
		expect(await ask()).toMatchObject({ unknownAge: 3, groups: [] }));
	it('is worked in a thread where it has', async () => {
		await useThreads(script('works.mjs', 'return { task, asked: of.length };'));
		expect(await ask()).toEqual({ task: 'summaryOf', asked: 2 });
		expect(await Promise.all([ask(), ask(), ask()])).toHaveLength(3);
	});
	it('fails with its cause where its thread dies or it cannot be worked, and the next is worked again', async () => {
		await useThreads(
			script(
				'dies.mjs',
				'if (task === "die") process.exit(3); if (task === "throw") throw new Error("broken"); return 1;'
			)
		);
		const asked = (task: string) => inThread('page', 'a', { task, of: [] }, () => 0);
		await expect(asked('die')).rejects.toThrow();
		await expect(asked('throw')).rejects.toThrow('broken');
		expect(await asked('work')).toBe(1);
	});
	it('is given up where it takes too long, also where it never lets go', async () => {
		await useThreads(script('hangs.mjs', 'if (task === "hang") for (;;); return 1;'), { page: 0.5, fit: 0.5 });
		const asked = (task: string) => inThread('page', 'a', { task, of: [] }, () => 0);
		await expect(asked('hang')).rejects.toThrow(TookTooLong);
		expect(await asked('work')).toBe(1);
	});
	it('comes from each shop in turn: one that asks for much does not hold up another', async () => {
		await useThreads(script('slow.mjs', 'await new Promise((done) => setTimeout(done, 20)); return 1;'));
		const answered: string[] = [];
		const asked = (shop: string) =>
			inThread('page', shop, { task: 'wait', of: [] }, () => 0).then(() => answered.push(shop));
		await Promise.all([...Array.from({ length: 40 }, () => asked('greedy')), asked('other'), asked('third')]);
		expect(answered.indexOf('other')).toBeLessThan(12);
		expect(answered.indexOf('third')).toBeLessThan(12);
		expect(answered).toHaveLength(42);
	});
});
