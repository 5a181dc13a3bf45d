import { batchAnswerSchema, type Entry, type EntryAnswer, type RefusedBecause } from '@exetasis/core/record';
import { waitsBehind } from '$lib/strip/laidKey';
import { clock } from './clock';
import type { OutboxDatabase } from './outboxDatabase';
import type { Picture } from './photo';

/** Why an entry was set aside: the server's reason for it, or what it said to the whole request. */
type SetAside =
	| { readonly kind: 'refused'; readonly problem: RefusedBecause }
	| { readonly kind: 'answered'; readonly message: string };

/** One entry on its way, as this browser keeps it. */
export interface Kept {
	readonly id: string;
	readonly user: string;
	readonly job: string;
	/** Serial number of its pump, for those who see that something waits. */
	readonly pump: string;
	readonly entry: Entry;
	/** Set once the server would not take it: kept until the person has dealt with it. */
	readonly aside?: SetAside;
}

type OutboxStatus = 'idle' | 'sending' | 'offline' | 'signedOut';

const BATCH = 500;
const RETRY_MS = { first: 1500, most: 30_000 };

// The database's program is fetched where something is kept already, with the first entry, or a little after the page stands,
// so that it is there before the network may drop.
const fetchProgram = () => import('./outboxDatabase');
const FETCH_AFTER_MS = 4000;
/** Whether this browser may keep something of ours; true where it does not tell. */
const mayKeep = async (): Promise<boolean> =>
	(await indexedDB.databases?.())?.some(({ name }) => name?.startsWith('exetasis')) ?? true;

/**
 * Everything that one person recorded in this browser and the server has not acknowledged yet, of every job: kept in the
 * browser's own database, so that neither a dropped network, a closed tab nor a sign-out loses it, and sent from any page.
 * What the server refuses is set aside with its reason, never sent again unasked and never deleted unseen.
 */
export class Outbox {
	status = $state<OutboxStatus>('idle');
	#kept = $state.raw<ReadonlyMap<string, Kept>>(new Map());
	readonly waiting = $derived([...this.#kept.values()].filter(({ aside }) => !aside));
	readonly setAside = $derived([...this.#kept.values()].filter(({ aside }) => aside));

	/** Ids of what the person has dealt with since the page was opened: it counts no more than what is set aside. */
	discarded = $state.raw<readonly string[]>([]);

	/** Photographs of this page's life, and those that wait: shown before the server has them. */
	readonly #pictures = new Map<string, Blob>();

	readonly user: string;
	#opened: Promise<OutboxDatabase> | undefined;
	#retry = RETRY_MS.first;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#sending = false;
	#closed = false;

	constructor(user: string) {
		this.user = user;
	}

	/** Takes up what earlier pages left, and starts sending. Call the result when the person leaves. */
	open(): () => void {
		// Off the network the program may not come: then with the next entry, or once the network is back.
		const fetched = () => void this.#database().catch(() => undefined);
		const send = () => {
			fetched();
			void this.flush();
		};
		addEventListener('online', send);
		const later = setTimeout(fetched, FETCH_AFTER_MS);
		void this.#takeUp().catch(() => undefined);
		return () => {
			this.#closed = true;
			clearTimeout(later);
			removeEventListener('online', send);
			clearTimeout(this.#timer);
		};
	}

	#database = (): Promise<OutboxDatabase> =>
		(this.#opened ??= fetchProgram().then(
			async ({ OutboxDatabase }) => {
				const database = new OutboxDatabase();
				// What was recorded while it could not be fetched.
				await database.entries.bulkPut([...this.#kept.values()]);
				await database.pictures.bulkPut([...this.#pictures].map(([sha256, jpeg]) => ({ sha256, jpeg })));
				return database;
			},
			(cause: unknown) => {
				this.#opened = undefined;
				throw cause;
			}
		));

	async #takeUp(): Promise<void> {
		if (!(await mayKeep())) return;
		const database = await this.#database();
		const left = await database.entries.where({ user: this.user }).toArray();
		this.#change((kept) => left.forEach((waiting) => kept.has(waiting.id) || kept.set(waiting.id, waiting)));
		void this.flush();
	}

	// What was recorded after parts were laid down off the network may speak of them: it goes after them.
	#sendable(): Kept[] {
		const behind = new Map([...new Set(this.waiting.map(({ job }) => job))].map((job) => [job, waitsBehind(job)]));
		return this.waiting.filter(({ job, id }) => {
			const first = behind.get(job);
			return first === undefined || id < first;
		});
	}

	/** Sends what of a job may be sent now; false while some of it is still here. */
	async sendAll(job: string): Promise<boolean> {
		await this.flush();
		return !this.#sendable().some((waiting) => waiting.job === job);
	}

	/** What of a job waits or was set aside, for the page that shows it. */
	ofJob = (job: string): Kept[] => [...this.#kept.values()].filter((waiting) => waiting.job === job);

	/** The bytes of a photograph that this page has taken or still holds; undefined where only the server can have it. */
	async pictureOf(sha256: string): Promise<Blob | undefined> {
		const held = this.#pictures.get(sha256);
		if (held || !this.#opened) return held;
		return (await (await this.#opened).pictures.get(sha256))?.jpeg;
	}

	/** Holds a photograph until the entry that speaks of it has been sent; resolves when it is safe in the browser. */
	async hold({ sha256, jpeg }: Picture): Promise<void> {
		this.#pictures.set(sha256, jpeg);
		await (await this.#database()).pictures.put({ sha256, jpeg });
	}

	/** Puts entries in and sends; resolves when they are safe in the browser's database. */
	async put(pump: string, entries: readonly Entry[]): Promise<void> {
		const fresh = entries.map((entry) => {
			const plain = $state.snapshot(entry) as Entry;
			return { id: entry.id, user: this.user, job: entry.job, pump, entry: plain };
		});
		this.#change((kept) => fresh.forEach((entry) => kept.set(entry.id, entry)));
		const safe = this.#database().then(({ entries }) => entries.bulkPut(fresh));
		void this.flush();
		await safe;
	}

	/** Sends once more what was set aside: the person has seen why, and something has changed. */
	async sendAgain(other: Kept): Promise<void> {
		const { aside: _, ...waiting } = other;
		this.#change((kept) => kept.set(other.id, waiting));
		await (await this.#database()).entries.put(waiting);
		await this.flush();
	}

	/** Forgets what was set aside: the person has dealt with it. */
	async discard(waiting: Kept): Promise<void> {
		this.discarded = [...this.discarded, waiting.id];
		this.#change((kept) => kept.delete(waiting.id));
		await (await this.#database()).entries.delete(waiting.id);
	}

	async flush(): Promise<void> {
		if (this.#sending || this.#closed || this.#sendable().length === 0) return;
		this.#sending = true;
		clearTimeout(this.#timer);
		this.status = 'sending';
		try {
			for (let next = this.#sendable(); next.length > 0 && !this.#closed; next = this.#sendable()) {
				const { job } = next[0];
				await this.#send(job, next.filter((waiting) => waiting.job === job).slice(0, BATCH));
			}
			this.status = 'idle';
			this.#retry = RETRY_MS.first;
		} catch (error) {
			this.status = error instanceof SignedOut ? 'signedOut' : 'offline';
			this.#timer = setTimeout(() => void this.flush(), this.#retry);
			this.#retry = Math.min(this.#retry * 2, RETRY_MS.most);
		} finally {
			this.#sending = false;
		}
	}

	// A request that is refused as a whole is halved until the one entry that is to blame stands alone.
	async #send(job: string, whole: readonly Kept[]): Promise<void> {
		const batch = await this.#sendPictures(job, whole);
		if (batch.length === 0) return;
		const asked = performance.now();
		const response = await fetch(`/jobs/${job}/entries`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', accept: 'application/json' },
			body: JSON.stringify({ by: this.user, entries: batch.map(({ entry }) => entry) })
		});
		if (response.status === 401) throw new SignedOut();
		if (response.status === 429 || response.status >= 500) throw new Error(`HTTP ${response.status}`);
		if (!response.ok) {
			if (batch.length === 1) return this.#putAside(batch[0], { kind: 'answered', message: await messageOf(response) });
			const half = Math.ceil(batch.length / 2);
			await this.#send(job, batch.slice(0, half));
			return this.#send(job, batch.slice(half));
		}
		const { answers, serverTime } = batchAnswerSchema.parse(await response.json());
		clock.compare(serverTime, performance.now() - asked);
		await this.#take(batch, answers);
	}

	// The bytes of a photograph go before its entry; answers with the batch without those whose bytes were refused.
	async #sendPictures(job: string, batch: readonly Kept[]): Promise<readonly Kept[]> {
		const sent: Kept[] = [];
		for (const waiting of batch) {
			const name = waiting.entry.kind === 'photo' ? waiting.entry.payload.sha256 : undefined;
			const jpeg = name && (await this.pictureOf(name));
			if (jpeg) {
				const headers = { 'content-type': 'image/jpeg', accept: 'application/json' };
				const response = await fetch(`/jobs/${job}/photos/${name}`, { method: 'POST', headers, body: jpeg });
				if (response.status === 401) throw new SignedOut();
				if (response.status === 429 || response.status >= 500) throw new Error(`HTTP ${response.status}`);
				if (!response.ok) {
					await this.#putAside(waiting, { kind: 'answered', message: await messageOf(response) });
					continue;
				}
			}
			sent.push(waiting);
		}
		return sent;
	}

	async #take(batch: readonly Kept[], answers: readonly EntryAnswer[]): Promise<void> {
		const gone: string[] = [];
		for (const [i, entry] of batch.entries()) {
			const answer = answers[i];
			if (!answer) throw new Error('an entry was not answered');
			if (answer.result === 'refused') await this.#putAside(entry, { kind: 'refused', problem: answer.problem });
			else gone.push(entry.id);
		}
		this.#change((kept) => gone.forEach((id) => kept.delete(id)));
		const database = await this.#database();
		await database.entries.bulkDelete(gone);
		const sent = batch.flatMap(({ id, entry }) =>
			entry.kind === 'photo' && gone.includes(id) ? [entry.payload.sha256] : []
		);
		if (sent.length > 0) await database.pictures.bulkDelete(sent);
	}

	async #putAside(waiting: Kept, aside: SetAside): Promise<void> {
		const set = { ...waiting, aside };
		this.#change((kept) => kept.set(waiting.id, set));
		await (await this.#database()).entries.put(set);
	}

	#change(how: (kept: Map<string, Kept>) => void): void {
		const kept = new Map(this.#kept);
		how(kept);
		this.#kept = kept;
	}
}

class SignedOut extends Error {}

async function messageOf(response: Response): Promise<string> {
	const said: unknown = await response.json().catch(() => undefined);
	const message = typeof said === 'object' && said !== null && 'message' in said ? said.message : undefined;
	return typeof message === 'string'
		? message
		: `The server rejected it (${response.status}). Reload the page and try again.`;
}
