import type { ChildProcess } from 'node:child_process';
import { expect } from '@playwright/test';
// @ts-expect-error plain scripts without types of their own
import { freePort, temporaryCluster } from '../scripts/lib/postgres.mjs';
// @ts-expect-error plain scripts without types of their own
import { runAsync } from '../scripts/lib/run.mjs';
// @ts-expect-error plain scripts without types of their own
import { limits, serveBuilt, stopServer, THROW_AWAY_SECRET } from '../scripts/lib/server.mjs';

/** Runs one of our scripts on this database to its end. */
export async function runScript(script: string, url: string): Promise<void> {
	const env = { ...process.env, AUTH_SECRET: THROW_AWAY_SECRET as string, DATABASE_URL: url };
	expect(await runAsync('npx', ['tsx', script], { stdio: 'ignore', env })).toBe(0);
}

/** Starts the built server on this database and port, and waits until it answers. */
export async function startServer(
	url: string,
	port: number,
	more: NodeJS.ProcessEnv = {}
): Promise<{ server: ChildProcess; address: string }> {
	const address = `http://localhost:${port}`;
	const own = {
		AUTH_SECRET: THROW_AWAY_SECRET,
		DATABASE_URL: url,
		ORIGIN: address,
		PORT: String(port),
		HOST: '127.0.0.1'
	};
	const server = (await serveBuilt({ env: { ...process.env, ...own, ...more }, port })) as ChildProcess;
	return { server, address };
}

/** The built server on an empty database of its own. */
export async function serveEmpty(more: NodeJS.ProcessEnv): Promise<{ address: string; stop: () => Promise<void> }> {
	const cluster = temporaryCluster();
	const { url } = (await cluster.start()) as { url: (name: string) => string };
	await runScript('scripts/migrate.ts', url('postgres'));
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
