import { Client } from 'pg';
import type { Entry } from '@exetasis/core/record';
import { entriesOf } from './benchLog/entries';
import { database } from './db/connection';
import { log } from './serverLog';

interface Subscriber {
	readonly shopId: string;
	readonly userId: string;
	readonly jobId: string;
	readonly receive: (entries: Entry[]) => void;
	/** Nothing more will come: what came meanwhile must be asked for again, with a new stream. */
	readonly lost: () => void;
}

interface Notice {
	shop: string;
	job: string;
	from: number;
	to: number;
}

const ALIVE_EVERY_MS = 15_000;
const ALIVE_WITHIN_MS = 5_000;

const subscribers = new Set<Subscriber>();
let listening: Promise<Client> | undefined;
let listener: Client | undefined;

// One listening connection per process, opened with the first subscriber. One that does not answer is given up.
async function listen(): Promise<Client> {
	const client = new Client({
		connectionString: process.env.DATABASE_URL,
		query_timeout: ALIVE_WITHIN_MS,
		connectionTimeoutMillis: ALIVE_WITHIN_MS
	});
	const alive = setInterval(
		() => void client.query('SELECT 1').catch(() => client.connection.stream.destroy()),
		ALIVE_EVERY_MS
	);
	alive.unref();
	client.on('notification', ({ payload }) => {
		void pass(JSON.parse(payload!) as Notice).catch((cause: unknown) => {
			log.error({ err: cause }, 'entries could not be passed on');
			loseAll();
		});
	});
	client.on('error', () => undefined); // 'end' follows
	client.on('end', () => {
		clearInterval(alive);
		// Another may have taken its place already.
		if (listener !== client) return;
		listener = undefined;
		listening = undefined;
		loseAll();
	});
	try {
		await client.connect();
		await client.query('LISTEN bench_log');
		listener = client;
	} catch (cause) {
		clearInterval(alive);
		await client.end().catch(() => undefined);
		throw cause;
	}
	return client;
}

function lose(those: Iterable<Subscriber>): void {
	for (const subscriber of [...those]) {
		subscribers.delete(subscriber);
		try {
			subscriber.lost();
		} catch (cause) {
			log.warn({ err: cause }, 'a stream could not be closed');
		}
	}
}
const loseAll = () => lose(subscribers);

async function pass({ shop, job, from, to }: Notice): Promise<void> {
	const interested = () =>
		[...subscribers].filter((subscriber) => subscriber.jobId === job && subscriber.shopId === shop);
	if (interested().length === 0) return;
	const entries = await entriesOf({ db: database(), shopId: shop }, job, { from: String(from), to: String(to) });
	for (const subscriber of interested()) {
		try {
			subscriber.receive(entries);
		} catch (cause) {
			log.warn({ err: cause }, 'a stream took nothing more');
			lose([subscriber]);
		}
	}
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

/** Ends the streams of a person on this node: they have signed out, or may not sign in any more. */
export const endStreamsOf = (userId: string): void =>
	lose([...subscribers].filter((subscriber) => subscriber.userId === userId));

/** Ends this process's listening connection and its streams. */
export function stopListening(): void {
	void listening?.then((client) => client.end()).catch(() => undefined);
}
