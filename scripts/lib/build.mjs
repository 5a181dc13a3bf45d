// Builds the web application, but only where a source has changed since the last build.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root, run } from './run.mjs';

const built = join(root, 'web/build');

function* files(folder) {
	for (const name of readdirSync(folder).sort()) {
		const path = join(folder, name);
		if (statSync(path).isDirectory()) {
			if (!['node_modules', '.svelte-kit'].includes(name) && path !== built) yield* files(path);
		} else if (!name.endsWith('.test.ts')) yield path;
	}
}

/** The bundled script of the threads in which the server works what takes long. */
export const threadScript = join(built, 'heavy.worker.mjs');

/** Builds the web application where a source has changed since the last build. */
export function buildWhereChanged() {
	const hash = createHash('sha256');
	for (const path of [
		...['core', 'server', 'web'].flatMap((folder) => [...files(join(root, folder))]),
		join(root, 'package-lock.json')
	]) {
		hash.update(path).update(readFileSync(path));
	}
	const digest = hash.digest('hex');
	const mark = join(built, '.sources');
	if (existsSync(mark) && readFileSync(mark, 'utf8') === digest) return;
	console.log('Building the application …');
	run('npm', ['run', 'build', '--workspace', 'web', '--silent']);
	// The threads run beside the server, from a file of their own.
	const bundle = ['--bundle', '--platform=node', '--format=esm', '--main-fields=module,main', '--log-level=warning'];
	// Some packages within it still ask for Node's own modules by require.
	bundle.push(
		`--banner:js=import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);`
	);
	// Packages that read files from their own folder stay in node_modules.
	for (const name of ['pdfmake', 'fontkit', 'sharp', 'piscina', 'highs']) bundle.push(`--external:${name}`);
	run('npx', ['esbuild', 'web/src/lib/server/worker.ts', ...bundle, `--outfile=${threadScript}`]);
	writeFileSync(mark, digest);
}
