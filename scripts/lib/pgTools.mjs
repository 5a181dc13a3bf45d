// PostgreSQL's own tools for copies of a whole database, against the checkout's cluster or the one that DATABASE_URL names.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensurePostgres } from './install.mjs';
import { privateCluster } from './postgres.mjs';
import { Advice } from './run.mjs';

/** Does the work with the address of the database that Exetasis uses; a cluster that was not running is stopped again. */
export async function withDatabase(work) {
	if (process.env.DATABASE_URL) return work(process.env.DATABASE_URL);
	const cluster = privateCluster();
	const wasRunning = cluster.isRunning();
	const { url } = await cluster.start();
	try {
		return await work(url('exetasis'), url);
	} finally {
		if (!wasRunning) cluster.stop();
	}
}

/** Runs one of PostgreSQL's programs; what it says goes to the terminal, but for addresses with their passwords. */
export function tool(program, args, url) {
	const { username, password, hostname, port, pathname } = new URL(url);
	const env = {
		...process.env,
		PGUSER: decodeURIComponent(username),
		PGPASSWORD: decodeURIComponent(password),
		PGHOST: hostname,
		PGPORT: port || '5432',
		PGDATABASE: pathname.slice(1)
	};
	const done = spawnSync(join(ensurePostgres(), program), args, { env, encoding: 'utf8', maxBuffer: 1e8 });
	if (done.status !== 0) throw new Advice(`${program} failed: ${(done.stderr || String(done.error)).trim()}`);
	return done.stdout.trim();
}

/** The same address with another database's name. */
export function ofDatabase(url, name) {
	const other = new URL(url);
	other.pathname = `/${name}`;
	return other.toString();
}
