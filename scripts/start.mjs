// npm start: everything that Exetasis needs, from a fresh machine to a running server. Ctrl-C stops what it started.
import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { buildWhereChanged } from './lib/build.mjs';
import { startDevices } from './lib/devices.mjs';
import { migrate, ownDatabase } from './lib/database.mjs';
import { ensurePackages } from './lib/install.mjs';
import { isOurs, takeLock, writeWhole } from './lib/lock.mjs';
import { freePort, privateCluster } from './lib/postgres.mjs';
import { rotatingLog } from './lib/rotatingLog.mjs';
import { Advice, main, root } from './lib/run.mjs';
import { newSetupCode } from './lib/setupCode.mjs';
import { limits, stopServer, untilReady } from './lib/server.mjs';

const DEFAULT_PORT = 5180;
const RESTART_MS = { first: 1000, most: 60_000, calm: 60_000 };
const dataFolder = join(root, '.data');
const lockFile = join(dataFolder, 'running.json');
const logFile = join(dataFolder, 'log/server.log');

function secret() {
	const file = join(dataFolder, 'auth-secret');
	const known = existsSync(file) ? readFileSync(file, 'utf8').trim() : '';
	if (known.length >= 32) return known;
	const fresh = randomBytes(32).toString('hex');
	writeWhole(file, fresh);
	return fresh;
}

async function portFor({ PORT, ORIGIN }) {
	const wanted = PORT === undefined ? DEFAULT_PORT : Number(PORT);
	if (!Number.isInteger(wanted) || wanted < 1 || wanted > 65_535)
		throw new Advice(`PORT is "${PORT}": give a number from 1 to 65535.`);
	const port = await freePort(wanted);
	if (port) return port;
	// Whoever named a port or an address would not find another one.
	if (PORT !== undefined || ORIGIN !== undefined)
		throw new Advice(`Port ${wanted} is taken by another program: stop that, or choose another with PORT=… npm start.`);
	const other = await freePort();
	console.log(`Port ${wanted} is taken by another program: using ${other}.`);
	return other;
}

await main(async () => {
	const port = await portFor(process.env);
	mkdirSync(dataFolder, { recursive: true });
	const lock = takeLock(lockFile, 'start.mjs');
	if (!lock.taken)
		return console.log(
			lock.holder.address ? `Exetasis is running already: ${lock.holder.address}` : 'Exetasis is being started already.'
		);
	let server;
	let stopping = false;
	const address = process.env.ORIGIN ?? `http://localhost:${port}`;
	const writeLock = () => writeWhole(lockFile, JSON.stringify({ pid: process.pid, server: server?.pid, address }));
	// What a start that was killed outright left behind.
	if (lock.left.server && isOurs(lock.left.server, 'build/index.js')) process.kill(lock.left.server, 'SIGKILL');
	const setupCode = newSetupCode();
	let cluster;
	let devices;
	for (const signal of ['SIGINT', 'SIGTERM']) {
		process.on(signal, () => {
			stopping = true;
			void stopServer(server);
		});
	}
	try {
		ensurePackages();
		const env = {
			...process.env,
			AUTH_SECRET: process.env.AUTH_SECRET ?? secret(),
			ORIGIN: address,
			PORT: String(port),
			HOST: process.env.HOST ?? '127.0.0.1',
			SHUTDOWN_TIMEOUT: '1',
			SETUP_CODE: setupCode,
			...limits
		};
		if (process.env.DATABASE_URL) migrate(process.env.DATABASE_URL, env);
		else {
			cluster = privateCluster();
			env.DATABASE_URL = ownDatabase((await cluster.start()).url, env);
		}
		buildWhereChanged();
		// Devices of one's own are named by RIG_AT and WRENCH_AT; else simulated ones stand in.
		if (!env.RIG_AT && !env.WRENCH_AT) {
			devices = await startDevices('--fault', 'inlet:2:0.12');
			Object.assign(env, devices.env);
		}
		const log = rotatingLog(logFile);
		for (let pause = RESTART_MS.first; !stopping;) {
			const began = Date.now();
			server = spawn('node', ['build/index.js'], { cwd: join(root, 'web'), stdio: ['ignore', 'pipe', 'pipe'], env });
			for (const stream of [server.stdout, server.stderr]) stream.on('data', (chunk) => log.write(chunk));
			const ended = new Promise((done) => server.on('exit', (code, signal) => done(signal ?? `exit code ${code}`)));
			writeLock();
			await untilReady(port, server).then(
				() => say(address, setupCode),
				() => undefined // it has ended; why stands in its log
			);
			const why = await ended;
			if (stopping) break;
			if (Date.now() - began > RESTART_MS.calm) pause = RESTART_MS.first;
			console.log(`The web server ended (${why}; its log: ${logFile}). Starting it again in ${pause / 1000} s.`);
			await sleep(pause);
			pause = Math.min(pause * 2, RESTART_MS.most);
		}
	} finally {
		devices?.stop();
		cluster?.stop();
		rmSync(lockFile, { force: true });
	}
});

function say(address, setupCode) {
	console.log(`\nExetasis: ${address}`);
	console.log(`To set up a shop from another machine: ${address}/welcome with the code ${setupCode} (once)`);
	console.log(`Its log: ${logFile}\nCtrl-C stops it.`);
}
