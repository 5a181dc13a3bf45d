import { createStore, delMany, entries as storedEntries, set } from 'idb-keyval';
import type { Entry } from '@exetasis/core/record';
import type { EntryAnswer, RefusedBecause } from '@exetasis/core/record';

export interface Refusal {
	readonly entry: Entry;
	readonly problem: RefusedBecause;
}

export type OutboxStatus = 'idle' | 'sending' | 'offline' | 'signedOut';

const BATCH = 500;
const RETRY_MS = { first: 1500, most: 30_000 };

/**
 * Entries on their way to the server: kept in the browser's own database until the server has acknowledged each, so
 * that neither a dropped network, a closed tab nor a sign-out loses what was typed.
 */
export class Outbox {
	status = $state<OutboxStatus>('idle');
	waiting = $state(0);

	readonly #job: string;
	readonly #user: string;
	readonly #onRefused: (refusal: Refusal) => void;
	readonly #store = createStore('exetasis-outbox', 'entries');
	#queue = new Map<string, Entry>();
	#retry = RETRY_MS.first;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#sending = false;

	constructor(job: string, user: string, onRefused: (refusal: Refusal) => void) {
		this.#job = job;
		this.#user = user;
		this.#onRefused = onRefused;
	}

	// Keyed by person and job: what one person recorded is never sent under another's name.
	#key = (id: string): string => `${this.#user}/${this.#job}/${id}`;

	/** Takes up what an earlier page left unsent, and starts sending. Call the result when the page closes. */
	async open(): Promise<{ left: Entry[]; close: () => void }> {
		const prefix = this.#key('');
		const all = await storedEntries<string, Entry>(this.#store);
		const left = all.filter(([key]) => key.startsWith(prefix)).map(([, entry]) => entry);
		for (const entry of left) this.#queue.set(entry.id, entry);
		this.waiting = this.#queue.size;
		const send = () => void this.flush();
		addEventListener('online', send);
		send();
		return {
			left,
			close: () => {
				removeEventListener('online', send);
				clearTimeout(this.#timer);
			}
		};
	}

	/** Puts entries in and sends; resolves when they are safe in the browser's database. */
	async put(entries: readonly Entry[]): Promise<void> {
		for (const entry of entries) this.#queue.set(entry.id, entry);
		this.waiting = this.#queue.size;
		const plain = entries.map((entry) => $state.snapshot(entry) as Entry);
		const kept = Promise.all(plain.map((entry) => set(this.#key(entry.id), entry, this.#store)));
		void this.flush();
		await kept;
	}

	async flush(): Promise<void> {
		if (this.#sending || this.#queue.size === 0) return;
		this.#sending = true;
		clearTimeout(this.#timer);
		this.status = 'sending';
		try {
			while (this.#queue.size > 0) await this.#sendBatch([...this.#queue.values()].slice(0, BATCH));
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

	async #sendBatch(batch: Entry[]): Promise<void> {
		const response = await fetch(`/jobs/${this.#job}/entries`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ by: this.#user, entries: batch })
		});
		if (response.status === 401 || response.status === 403) throw new SignedOut();
		if (!response.ok) throw new Error(`HTTP ${response.status}`);
		const { answers } = (await response.json()) as { answers: EntryAnswer[] };
		for (const answer of answers) {
			const entry = this.#queue.get(answer.id);
			this.#queue.delete(answer.id);
			if (answer.result === 'refused' && entry) this.#onRefused({ entry, problem: answer.problem });
		}
		this.waiting = this.#queue.size;
		await delMany(
			answers.map(({ id }) => this.#key(id)),
			this.#store
		);
	}
}

class SignedOut extends Error {}
