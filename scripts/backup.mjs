// npm run backup FILE: the whole database into one file, in PostgreSQL's own format, while people work.
import { existsSync, renameSync, rmSync } from 'node:fs';
import { tool, withDatabase } from './lib/pgTools.mjs';
import { Advice, main } from './lib/run.mjs';

await main(async () => {
	const [file] = process.argv.slice(2);
	if (!file) throw new Advice('Say where to: npm run backup -- FILE');
	if (existsSync(file)) throw new Advice(`${file} is there already: name another file, or move that one away.`);
	await withDatabase(async (url) => {
		// Whole or not at all: a copy that breaks off never carries the name of a good one.
		const part = `${file}.part`;
		try {
			tool('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', `--file=${part}`], url);
			renameSync(part, file);
		} finally {
			rmSync(part, { force: true });
		}
	});
	console.log(`Backed up into ${file}. Restore it with: npm run restore -- ${file}`);
});
