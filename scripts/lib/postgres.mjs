// A private PostgreSQL cluster on loopback: made, started and stopped here, and never another one touched.
import { spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import {
	chmodSync,
	chownSync,
	existsSync,
	mkdirSync,
	mkdtempSync,
	readFileSync,
	renameSync,
	rmSync,
	writeFileSync
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { ensurePostgres } from './install.mjs';
import { Advice, isAlive, root } from './run.mjs';

// Whoever was told a port may not listen there yet: no one else in this process is told the same.
const told = new Set();

/** A TCP port on loopback that no one listens on now: the one that is wanted, or undefined where that is taken. */
export async function freePort(wanted = 0) {
	for (;;) {
		const port = await new Promise((done, fail) => {
			const server = createServer();
			server.on('error', () => (wanted ? done(undefined) : fail(new Advice('No free port on 127.0.0.1.'))));
			server.listen(wanted, '127.0.0.1', () => {
				const { port } = server.address();
				server.close(() => done(port));
			});
		});
		if (wanted || !told.has(port)) {
			told.add(port);
			return port;
		}
	}
}

// PostgreSQL refuses to run as root: there it runs as the user that Debian's package made for it.
function serverUser() {
	if (process.getuid() !== 0) return {};
	const id = (flag) => Number(spawnSync('id', [flag, 'postgres']).stdout?.toString());
	const [uid, gid] = [id('-u'), id('-g')];
	if (!uid)
		throw new Advice('PostgreSQL may not run as root, and there is no user "postgres": run as an ordinary user.');
	return { uid, gid };
}

function makeFolder(path, user) {
	mkdirSync(path, { recursive: true, mode: 0o700 });
	if (user.uid !== undefined) chownSync(path, user.uid, user.gid);
}

const canEnter = (folder, user) => user.uid === undefined || spawnSync('test', ['-x', folder], user).status === 0;

// Under .data/ of the checkout, or under the system's state folder where the server's user may not enter the checkout.
function clusterFolder(user) {
	const local = join(root, '.data');
	mkdirSync(local, { recursive: true });
	if (canEnter(local, user)) return join(local, 'postgres');
	const name = createHash('sha256').update(root).digest('hex').slice(0, 12);
	return join('/var/lib/exetasis', name, 'postgres');
}

/**
 * The cluster in a folder (the checkout's own by default).
 * start() resolves with its address; stop() ends it and waits; kill() is what a power cut does, for tests.
 */
export function privateCluster(folder) {
	const bin = ensurePostgres();
	const user = serverUser();
	const data = folder ?? clusterFolder(user);
	const base = dirname(data);
	const passwordFile = join(base, 'postgres-password');
	const log = join(base, 'postgres.log');
	const pidFile = join(data, 'postmaster.pid');

	function execute(program, args) {
		const result = spawnSync(join(bin, program), args, { ...user, cwd: '/', encoding: 'utf8' });
		if (result.status === 0) return result.stdout;
		throw new Advice(`${program} failed: ${(result.stderr || result.stdout || String(result.error)).trim()}`);
	}

	function initialise() {
		if (existsSync(join(data, 'PG_VERSION'))) return;
		// Made beside its place and moved there whole: a start that is killed meanwhile leaves nothing that looks like a cluster.
		const unfinished = `${data}.unfinished`;
		rmSync(data, { recursive: true, force: true });
		rmSync(unfinished, { recursive: true, force: true });
		if (base !== join(root, '.data')) {
			mkdirSync(base, { recursive: true, mode: 0o755 });
		}
		makeFolder(unfinished, user);
		writeFileSync(passwordFile, randomBytes(24).toString('hex'), { mode: 0o600 });
		if (user.uid !== undefined) chownSync(passwordFile, user.uid, user.gid);
		const options = ['--username=exetasis', '--auth=scram-sha-256', `--pwfile=${passwordFile}`];
		execute('initdb', ['-D', unfinished, ...options, '--encoding=UTF8', '--locale=C.UTF-8']);
		renameSync(unfinished, data);
	}

	// Processes of a server that was killed end by themselves, but not at once; PostgreSQL will not start beside them.
	const orphansAreLeft = () => readFileSync(log, 'utf8').includes('is still in use');

	async function startServer(settings) {
		for (const giveUp = Date.now() + 60_000; ; await sleep(250)) {
			writeFileSync(log, '');
			if (user.uid !== undefined) chownSync(log, user.uid, user.gid);
			chmodSync(log, 0o600);
			try {
				return execute('pg_ctl', ['start', '-w', '-t', '60', '-s', '-D', data, '-l', log, '-o', settings]);
			} catch (error) {
				if (!orphansAreLeft() || Date.now() > giveUp)
					throw new Advice(`${error.message}\n${readFileSync(log, 'utf8')}`);
			}
		}
	}

	// The server that holds this folder's lock, or undefined. A lock left by a server that was killed is cleared.
	function running() {
		if (!existsSync(pidFile)) return undefined;
		const lines = readFileSync(pidFile, 'utf8').split('\n');
		const pid = Number(lines[0]);
		const command =
			isAlive(pid) && existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8') : '';
		if (command.includes(data)) return { pid, port: Number(lines[3]) };
		rmSync(pidFile);
		return undefined;
	}

	const url = (port, database = 'exetasis') =>
		`postgres://exetasis:${readFileSync(passwordFile, 'utf8')}@127.0.0.1:${port}/${database}`;

	return {
		async start() {
			initialise();
			const already = running();
			if (already) return { url: (database) => url(already.port, database), port: already.port };
			const port = await freePort();
			const settings = `-c listen_addresses=127.0.0.1 -c port=${port} -c unix_socket_directories=''`;
			await startServer(settings);
			return { url: (database) => url(port, database), port };
		},
		isRunning: () => running() !== undefined,
		pid: () => running()?.pid,
		stop() {
			if (running()) execute('pg_ctl', ['stop', '-w', '-s', '-m', 'fast', '-D', data]);
		},
		kill() {
			const server = running();
			if (server) process.kill(server.pid, 'SIGKILL');
		}
	};
}

/** A throw-away cluster in the system's folder for temporary files; remove() leaves nothing behind. */
export function temporaryCluster() {
	const base = mkdtempSync(join(tmpdir(), 'exetasis-pg-'));
	chmodSync(base, 0o755);
	const cluster = privateCluster(join(base, 'postgres'));
	return { ...cluster, remove: () => rmSync(base, { recursive: true, force: true }) };
}
