import type { ChildProcess } from 'node:child_process';
import { expect, request, test, type APIRequestContext } from './test';
import { Client } from 'pg';
import { accounts } from './people';
import { runScript, startServer } from './server';
// @ts-expect-error plain scripts without types of their own
import { freePort, temporaryCluster } from '../scripts/lib/postgres.mjs';
// @ts-expect-error plain scripts without types of their own
import { stopServer } from '../scripts/lib/server.mjs';

interface Started {
	api: APIRequestContext;
	server: ChildProcess;
	address: string;
}

async function serve(url: string, port: number): Promise<Started> {
	const { server, address } = await startServer(url, port);
	const api = await request.newContext({ baseURL: address, extraHTTPHeaders: { origin: address } });
	await api.post('/signin', { form: { email: accounts.technician, password: 'harrow-sound' } });
	return { api, server, address };
}

const uuid = () => crypto.randomUUID();

// Writes one entry after the other until the connection breaks; every acknowledged one is remembered.
async function writeUntilBroken(
	api: APIRequestContext,
	job: string,
	by: string,
	acknowledged: string[]
): Promise<void> {
	for (;;) {
		const id = uuid();
		const entry = {
			id,
			job,
			by,
			at: new Date().toISOString(),
			kind: 'note',
			payload: { text: `note ${acknowledged.length}` }
		};
		try {
			const response = await api.post(`/jobs/${job}/entries`, { data: { by, entries: [entry] }, timeout: 5000 });
			if (!response.ok()) return;
			const { answers } = (await response.json()) as { answers: { result: string }[] };
			if (answers[0].result === 'accepted') acknowledged.push(id);
		} catch {
			return;
		}
	}
}

async function openJob(api: APIRequestContext): Promise<string> {
	const form = {
		pump: 'new',
		serial: `CRASH-${uuid().slice(0, 8)}`,
		model: 'Marram',
		scope: 'packing',
		complaint: 'leak',
		hours: '10'
	};
	const response = await api.post('/receive', { form, maxRedirects: 0, headers: { accept: 'text/html' } });
	return /jobs\/([^/]+)/.exec(response.headers().location)![1];
}

async function idOf(email: string, connectionString: string): Promise<string> {
	const client = new Client({ connectionString });
	await client.connect();
	const { rows } = await client.query('SELECT id FROM "user" WHERE email = $1', [email]);
	await client.end();
	return rows[0].id as string;
}

test(
	'kill -9 of the server and of PostgreSQL in mid-save loses nothing that was acknowledged',
	{ tag: '@alone' },
	async () => {
		test.setTimeout(180_000);
		const cluster = temporaryCluster();
		try {
			const started = (await cluster.start()) as { url: (name: string) => string };
			await runScript('scripts/migrate.ts', started.url('postgres'));
			await runScript('scripts/load-demo.ts', started.url('postgres'));
			const acknowledged: string[] = [];

			const port = (await freePort()) as number;
			const first = await serve(started.url('postgres'), port);
			const job = await openJob(first.api);
			const by = await idOf(accounts.technician, started.url('postgres'));
			const writing = writeUntilBroken(first.api, job, by, acknowledged);
			await expect.poll(() => acknowledged.length).toBeGreaterThan(20);
			first.server.kill('SIGKILL');
			await writing;

			const second = await serve(started.url('postgres'), port);
			const more = writeUntilBroken(second.api, job, by, acknowledged);
			const before = acknowledged.length;
			await expect.poll(() => acknowledged.length).toBeGreaterThan(before + 20);
			cluster.kill();
			await more;
			second.server.kill('SIGKILL');

			const restarted = (await cluster.start()) as { url: (name: string) => string };
			const third = await serve(restarted.url('postgres'), port);
			const again = acknowledged.map((id) => ({
				id,
				job,
				by,
				at: new Date().toISOString(),
				kind: 'note',
				payload: { text: 'sent again' }
			}));
			const response = await third.api.post(`/jobs/${job}/entries`, { data: { by, entries: again } });
			const { answers } = (await response.json()) as { answers: { result: string }[] };
			expect(answers.filter(({ result }) => result !== 'duplicate')).toEqual([]);
			expect(answers.length).toBe(acknowledged.length);
			await stopServer(third.server);
			expect(third.server.exitCode).toBe(0);
		} finally {
			cluster.stop();
			cluster.remove();
		}
	}
);
