import { Client } from 'pg';
import type { Entry } from '@exetasis/core/record';
import { entriesOf } from './benchLog/entries';
import { database } from './db/connection';
import { log } from './serverLog';

interface Subscriber {
	readonly shopId: string;
	readonly jobId: string;
	readonly receive: (entries: Entry[]) => void;
	/** The connection to the database was lost: what came meanwhile must be asked for again. */
	readonly lost: () => void;
}

interface Notice {
	shop: string;
	job: string;
	from: number;
	to: number;
}

const subscribers = new Set<Subscriber>();
let listening: Promise<Client> | undefined;

// One listening connection per process, opened with the first subscriber.
async function listen(): Promise<Client> {
	const client = new Client({ connectionString: process.env.DATABASE_URL });
	client.on(
		'notification',
		({ payload }) => void pass(JSON.parse(payload!) as Notice).catch((error) => log.error({ error }, 'events'))
	);
	client.on('error', () => undefined); // 'end' follows
	client.on('end', () => {
		listening = undefined;
		for (const subscriber of [...subscribers]) subscriber.lost();
	});
	await client.connect();
	await client.query('LISTEN bench_log');
	return client;
}

async function pass({ shop, job, from, to }: Notice): Promise<void> {
	const interested = [...subscribers].filter((one) => one.jobId === job && one.shopId === shop);
	if (interested.length === 0) return;
	const entries = await entriesOf({ db: database(), shopId: shop }, job, { from: String(from), to: String(to) });
	for (const subscriber of interested) subscriber.receive(entries);
}

/** Tells of every entry added to a job from now on, by whichever node; resolves once listening. Call the result to stop. */
export async function subscribe(subscriber: Subscriber): Promise<() => void> {
	subscribers.add(subscriber);
	const stop = () => void subscribers.delete(subscriber);
	try {
		await (listening ??= listen());
	} catch (error) {
		listening = undefined;
		stop();
		throw error;
	}
	return stop;
}

/** Ends this process's listening connection and its streams. */
export function stopListening(): void {
	void listening?.then((client) => client.end()).catch(() => undefined);
}
