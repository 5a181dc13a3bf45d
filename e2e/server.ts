import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { expect } from '@playwright/test';
// @ts-expect-error plain scripts without types of their own
import { freePort, temporaryCluster } from '../scripts/lib/postgres.mjs';
// @ts-expect-error plain scripts without types of their own
import { limits, stopServer, untilReady } from '../scripts/lib/server.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
export const AUTH_SECRET = 'only-for-tests-0123456789abcdef0123';

/** Runs one of our scripts to its end. */
export async function runScript(script: string, env: NodeJS.ProcessEnv): Promise<void> {
	const child = spawn('npx', ['tsx', script], { cwd: root, stdio: 'ignore', env });
	const [code] = await once(child, 'exit');
	expect(code).toBe(0);
}

/** Starts the built server on this database and port, and waits until it answers. */
export async function startServer(
	url: string,
	port: number,
	more: NodeJS.ProcessEnv = {}
): Promise<{ server: ChildProcess; address: string }> {
	const address = `http://localhost:${port}`;
	const own = { AUTH_SECRET, DATABASE_URL: url, ORIGIN: address, PORT: String(port), HOST: '127.0.0.1' };
	const env = { ...process.env, ...own, ...more };
	const server = spawn('node', ['build/index.js'], { cwd: `${root}/web`, stdio: 'ignore', env });
	await untilReady(port, server);
	return { server, address };
}

/** The built server on an empty database of its own. */
export async function serveEmpty(more: NodeJS.ProcessEnv): Promise<{ address: string; stop: () => Promise<void> }> {
	const cluster = temporaryCluster();
	const { url } = (await cluster.start()) as { url: (name: string) => string };
	await runScript('scripts/migrate.ts', { ...process.env, AUTH_SECRET, DATABASE_URL: url('postgres') });
	const env = { ...(limits as NodeJS.ProcessEnv), ...more };
	const { server, address } = await startServer(url('postgres'), (await freePort()) as number, env);
	return {
		address,
		stop: async () => {
			await stopServer(server);
			cluster.stop();
			cluster.remove();
		}
	};
}
