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
const MOST_SHUTDOWN_MS = 8000;
const dataFolder = join(root, '.data');
const lockFile = join(dataFolder, 'running.json');

// Whether this process is alive and still what the lock says: after a reboot its number may be somebody else's.
function isOurs(pid, program) {
	return (
		isAlive(pid) && existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(program)
	);
}

function readLock() {
	return existsSync(lockFile) ? JSON.parse(readFileSync(lockFile, 'utf8')) : undefined;
}

function secret() {
	const file = join(dataFolder, 'auth-secret');
	if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 });
	return readFileSync(file, 'utf8');
}

await main(async () => {
	mkdirSync(dataFolder, { recursive: true });
	const lock = readLock();
	if (lock && isOurs(lock.pid, 'start.mjs')) return console.log(`Exetasis is running already: ${lock.address}`);
	// A start that was killed outright leaves its web server behind.
	if (lock?.server && isOurs(lock.server, 'build/index.js')) process.kill(lock.server, 'SIGKILL');
	ensurePackages();
	const cluster = process.env.DATABASE_URL ? undefined : privateCluster();
	const stopAll = () => {
		cluster?.stop();
		rmSync(lockFile, { force: true });
	};
	const port = await freePort(Number(process.env.PORT ?? DEFAULT_PORT));
	const address = process.env.ORIGIN ?? `http://localhost:${port}`;
	const writeLock = () => writeFileSync(lockFile, JSON.stringify({ pid: process.pid, server: server?.pid, address }));
	let server;
	let stopping = false;
	writeLock();
	for (const signal of ['SIGINT', 'SIGTERM']) {
		process.on(signal, () => {
			stopping = true;
			server?.kill('SIGTERM');
			setTimeout(() => server?.kill('SIGKILL'), MOST_SHUTDOWN_MS).unref();
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
			SHUTDOWN_TIMEOUT: '1'
		};
		run('npx', ['tsx', 'scripts/migrate.ts'], { env });
		run('npx', ['tsx', 'scripts/load-demo.ts'], { env });
		buildWhereChanged();
		if (stopping) return;
		server = spawn('node', ['build/index.js'], { cwd: join(root, 'web'), stdio: ['ignore', 'ignore', 'inherit'], env });
		writeLock();
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
