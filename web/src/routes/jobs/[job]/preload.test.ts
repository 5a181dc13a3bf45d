import { readdirSync, readFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { describe, expect, it } from 'vitest';

const src = join(import.meta.dirname, '../../..');
const read = (path: string) => readFileSync(join(src, path), 'utf8');
const componentsIn = (folder: string) =>
	readdirSync(join(src, folder)).flatMap((name) => (name.endsWith('.svelte') ? [`${folder}/${name}`] : []));
// What stands on the pages of a job that work off the network.
const pages = [
	...['inHand', 'judge', 'log', 'look', 'mat', 'measure', 'strip', 'build', 'prove', 'bar'].map(
		(room) => `lib/${room}`
	),
	...['strip', 'inspect', 'build', 'prove'].map((stage) => `routes/jobs/[job]/${stage}`)
].flatMap(componentsIn);
const onTouch = pages.flatMap((path) =>
	[...read(path).matchAll(/import\('[^']*?(\w+\.svelte)'\)/g)].map(([, name]) => name)
);

describe('what a job opens on a touch', () => {
	const preloaded = read('routes/jobs/[job]/preload.ts');
	it.each([...new Set(onTouch)].map((name) => [basename(name)]))('%s is fetched while the network is up', (name) => {
		expect(preloaded).toContain(`/${name}'`);
	});
	it('is found by this test', () => expect(onTouch.length).toBeGreaterThan(8));
});
