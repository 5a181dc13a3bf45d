// npm run restore FILE [DATABASE]: a backup into a database that holds nothing yet (the one in use, or one of this name,
// made where it is missing). Never over one that holds something.
import { existsSync } from 'node:fs';
import { ofDatabase, tool, withDatabase } from './lib/pgTools.mjs';
import { Advice, main } from './lib/run.mjs';

const HOLDS =
	"SELECT count(*) FROM information_schema.tables WHERE table_schema NOT IN ('pg_catalog', 'information_schema')";

await main(async () => {
	const [file, name] = process.argv.slice(2);
	if (!file) throw new Advice('Say which backup: npm run restore -- FILE [DATABASE]');
	if (!existsSync(file)) throw new Advice(`There is no file ${file}.`);
	await withDatabase(async (url, urlOf) => {
		const wanted = name ?? new URL(url).pathname.slice(1);
		const first = urlOf ? urlOf('postgres') : url;
		const known = tool('psql', ['-At', '-c', 'SELECT datname FROM pg_database'], first).split('\n');
		if (!known.includes(wanted)) tool('createdb', [wanted], first);
		const target = ofDatabase(url, wanted);
		if (Number(tool('psql', ['-At', '-c', HOLDS], target)) > 0)
			throw new Advice(
				`The database "${wanted}" holds something already: name an empty or a new one, npm run restore -- ${file} NAME`
			);
		tool(
			'pg_restore',
			['--no-owner', '--no-privileges', '--single-transaction', '--exit-on-error', `--dbname=${wanted}`, file],
			target
		);
		console.log(`Restored into the database "${wanted}".`);
	});
});
