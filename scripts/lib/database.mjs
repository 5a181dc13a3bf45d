// The database of our own cluster.
import { spawnSync } from 'node:child_process';
import { Advice, root, run } from './run.mjs';

const NAME = 'exetasis';
/** Where earlier versions kept their tables. */
const EARLIER = 'postgres';

/** The address of the checkout's database in this cluster, migrated; made empty if there is none yet. */
export function ownDatabase(url, env) {
	const tell = (...command) => {
		const done = spawnSync('npx', ['tsx', 'scripts/database.ts', ...command], {
			cwd: root,
			env: { ...env, DATABASE_URL: url(EARLIER) },
			encoding: 'utf8',
			stdio: ['ignore', 'pipe', 'inherit']
		});
		if (done.status !== 0) throw new Advice('The database could not be made: see above.');
		return done.stdout.trim();
	};
	const there = tell('which', NAME);
	if (there === 'none') tell('make', NAME);
	const address = url(there === 'earlier' ? EARLIER : NAME);
	migrate(address, env);
	return address;
}

/** Brings a database up to date. */
export function migrate(address, env) {
	run('npx', ['tsx', 'scripts/migrate.ts'], { env: { ...env, DATABASE_URL: address } });
}
