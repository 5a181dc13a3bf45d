// The built web server on a throw-away cluster with the demo in it: for tests, benchmarks and pictures.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { threadScript } from './build.mjs';
import { freePort } from './postgres.mjs';
import { root, run } from './run.mjs';

/** Resolves when the web server on this port answers that it is ready; throws where its process ends first. */
export async function untilReady(port, server) {
	while (server.exitCode === null && server.signalCode === null) {
		try {
			if ((await fetch(`http://127.0.0.1:${port}/healthz`)).ok) return;
		} catch {
			// not listening yet
		}
		await new Promise((done) => setTimeout(done, 100));
	}
	throw new Error('The web server did not start; its message stands above.');
}

/** What every server of ours is told: the largest body it takes (a job file; the hooks hold all else to less), and where its threads' script, the demo's file and the sheets of the known layouts lie. */
export const limits = {
	BODY_SIZE_LIMIT: '33M',
	THREAD_SCRIPT: pathToFileURL(threadScript).href,
	DEMO_FILE: join(root, 'demo/demo.jsonl.br'),
	LAYOUT_SHEETS: join(root, 'demo/sheets')
};

const MOST_SHUTDOWN_MS = 8000;

/** Asks a server to end and waits until it has; one that does not in time is killed. */
export async function stopServer(server) {
	if (!server || server.exitCode !== null || server.signalCode !== null) return;
	const ended = once(server, 'exit');
	server.kill('SIGTERM');
	const cut = setTimeout(() => {
		console.error('The web server did not end when it was asked to: it is killed.');
		server.kill('SIGKILL');
	}, MOST_SHUTDOWN_MS);
	await ended;
	clearTimeout(cut);
}

/** Secret of servers that live for minutes and hold invented data only. */
export const THROW_AWAY_SECRET = 'only-for-tests-0123456789abcdef0123';

/** Migrates this empty database and loads the demo into it; the environment in which a server of it runs. */
export async function prepareDemo(DATABASE_URL) {
	const port = await freePort();
	const address = `http://localhost:${port}`;
	const env = {
		...process.env,
		DATABASE_URL,
		AUTH_SECRET: THROW_AWAY_SECRET,
		ORIGIN: address,
		PORT: String(port),
		HOST: '127.0.0.1',
		SHUTDOWN_TIMEOUT: '1',
		...limits
	};
	run('npx', ['tsx', 'scripts/migrate.ts'], { env });
	run('npx', ['tsx', 'scripts/load-demo.ts'], { env });
	return { env, port, address };
}

/** Starts the built server in this environment and waits until it answers. */
export async function serveBuilt({ env, port }) {
	const server = spawn('node', ['build/index.js'], {
		cwd: join(root, 'web'),
		stdio: ['ignore', 'ignore', 'inherit'],
		env
	});
	await untilReady(port, server);
	return server;
}
