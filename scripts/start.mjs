// npm start: everything that Exetasis needs, from a fresh machine to a running server. Ctrl-C stops what it started.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildWhereChanged } from './lib/build.mjs';
import { ensurePackages } from './lib/install.mjs';
import { freePort, privateCluster } from './lib/postgres.mjs';
import { isAlive, main, root, run } from './lib/run.mjs';
import { untilReady } from './lib/server.mjs';

const DEFAULT_PORT = 5180;
const dataFolder = join(root, '.data');
const lockFile = join(dataFolder, 'running.json');

function otherStart() {
	if (!existsSync(lockFile)) return undefined;
	const lock = JSON.parse(readFileSync(lockFile, 'utf8'));
	const alive = isAlive(lock.pid) && readFileSync(`/proc/${lock.pid}/cmdline`, 'utf8').includes('start.mjs');
	return alive ? lock : undefined;
}

function secret() {
	const file = join(dataFolder, 'auth-secret');
	if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
	return readFileSync(file, 'utf8');
}

await main(async () => {
	mkdirSync(dataFolder, { recursive: true });
	const other = otherStart();
	if (other) return console.log(`Exetasis is running already: ${other.address}`);
	ensurePackages();
	const cluster = process.env.DATABASE_URL ? undefined : privateCluster();
	const stopAll = () => {
		cluster?.stop();
		rmSync(lockFile, { force: true });
	};
	const port = await freePort(Number(process.env.PORT ?? DEFAULT_PORT));
	const address = process.env.ORIGIN ?? `http://localhost:${port}`;
	writeFileSync(lockFile, JSON.stringify({ pid: process.pid, address }));
	let server;
	let stopping = false;
	for (const signal of ['SIGINT', 'SIGTERM']) {
		process.on(signal, () => {
			stopping = true;
			server?.kill('SIGTERM');
		});
	}
	try {
		const env = {
			...process.env,
			DATABASE_URL: process.env.DATABASE_URL ?? (await cluster.start()).url('postgres'),
			AUTH_SECRET: process.env.AUTH_SECRET ?? secret(),
			ORIGIN: address,
			PORT: String(port),
			HOST: process.env.HOST ?? '127.0.0.1',
			SHUTDOWN_TIMEOUT: '3'
		};
		run('npx', ['tsx', 'scripts/migrate.ts'], { env });
		run('npx', ['tsx', 'scripts/load-demo.ts'], { env });
		buildWhereChanged();
		if (stopping) return;
		server = spawn('node', ['build/index.js'], { cwd: join(root, 'web'), stdio: ['ignore', 'ignore', 'inherit'], env });
		const ended = new Promise((done) => server.on('exit', done));
		await untilReady(port, server);
		console.log(`\nExetasis: ${address}\nDemo sign-in: ines@harrow.example, password harrow-sound (technician)`);
		console.log(
			'              mara@harrow.example (lead), bo@harrow.example (viewer), same password\nCtrl-C stops it.'
		);
		await ended;
	} finally {
		stopAll();
	}
});
