// Builds the web application, but only where a source has changed since the last build.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root, run } from './run.mjs';

function* files(folder) {
	for (const name of readdirSync(folder).sort()) {
		const path = join(folder, name);
		if (statSync(path).isDirectory()) {
			if (!['node_modules', 'build', '.svelte-kit'].includes(name)) yield* files(path);
		} else if (!name.endsWith('.test.ts')) yield path;
	}
}

/** Builds the web application where a source has changed since the last build. */
export function buildWhereChanged() {
	const hash = createHash('sha256');
	for (const path of [...files(join(root, 'core')), ...files(join(root, 'web')), join(root, 'package-lock.json')]) {
		hash.update(path).update(readFileSync(path));
	}
	const digest = hash.digest('hex');
	const mark = join(root, 'web/build/.sources');
	if (existsSync(mark) && readFileSync(mark, 'utf8') === digest) return;
	console.log('Building the application …');
	run('npm', ['run', 'build', '--workspace', 'web', '--silent']);
	writeFileSync(mark, digest);
}
