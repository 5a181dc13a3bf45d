import { LRUCache } from 'lru-cache';
import { setImmediate, setTimeout } from 'node:timers/promises';
import { FairTurns } from './fairTurns';

/** The latest computation of a page, finished or still running. */
interface Read {
	readonly startedAt: number;
	readonly answer: Promise<unknown>;
	done: boolean;
}

/** Who reads a page, and their shop. */
export interface Reader {
	readonly shop: string;
	readonly user: string;
}

const MOST_AT_ONCE = 2;
/** A page may be this old while other people save. */
const STALE_MS = 2000;
/** Changes by other servers of the same database show after this time at the latest. */
const MOST_KEPT_MS = 5000;
const MOST_KEPT = 500;
/** How long a page waits for saves that are under way. */
const MOST_HELD_MS = 25;

/**
 * Pages that take many statements, shared by all readers: computed once for all who ask at the same time, kept until the shop's
 * data change, and few at a time, so that saving takes precedence. A reader never gets a page that is older than their own last change.
 */
export class SharedReads {
	readonly #kept = new LRUCache<string, Read>({ max: MOST_KEPT });
	readonly #changed = new LRUCache<string, number>({ max: MOST_KEPT }); // by shop and by person: time of the last change
	readonly #turns = new FairTurns(MOST_AT_ONCE);
	readonly #now: () => number;

	constructor(now: () => number = () => performance.now()) {
		this.#now = now;
	}

	/**
	 * Runs a request by which this reader changes data. Pages wait a moment for it, because each rendering between two of its
	 * statements would delay it. Errors: those of `work`.
	 */
	async changing<Answer>(reader: Reader, work: () => Promise<Answer>): Promise<Answer> {
		this.#changes(reader);
		this.#writing++;
		try {
			return await work();
		} finally {
			this.#writing--;
			this.#changes(reader); // a page may have been computed in between
		}
	}
	#writing = 0;

	#changes({ shop, user }: Reader): void {
		for (const key of [`shop ${shop}`, `user ${user}`]) this.#changed.set(key, this.#now());
	}

	/** The page of this name for a reader: the kept one if it is recent enough, else a new one. Errors: those of `work`. */
	read<Answer>({ shop, user }: Reader, name: string, work: () => Promise<Answer>): Promise<Answer> {
		const key = `${shop} ${name}`;
		const found = this.#kept.get(key);
		if (found && this.#isGood(found, shop, user)) return this.#apart(found.answer as Promise<Answer>);
		const made: Read = { startedAt: this.#now(), answer: this.#turns.take(shop, work), done: false };
		this.#kept.set(key, made);
		made.answer.then(
			() => (made.done = true),
			() => this.#kept.get(key) === made && this.#kept.delete(key)
		);
		return this.#apart(made.answer as Promise<Answer>);
	}

	// Readers who waited for the same page get it one at a time, so that other requests run between two renderings.
	async #apart<Answer>(answer: Promise<Answer>): Promise<Answer> {
		await answer;
		await (this.#last = this.#last.then(() => this.#afterSaves()));
		return answer;
	}
	async #afterSaves(): Promise<void> {
		await setImmediate();
		for (let ms = 0; this.#writing > 0 && ms < MOST_HELD_MS; ms++) await setTimeout(1);
	}
	#last: Promise<void> = Promise.resolve();

	#isGood({ startedAt, done }: Read, shop: string, user: string): boolean {
		if (startedAt <= (this.#changed.get(`user ${user}`) ?? -1)) return false;
		if (!done) return true;
		const age = this.#now() - startedAt;
		return age <= STALE_MS || (age <= MOST_KEPT_MS && startedAt > (this.#changed.get(`shop ${shop}`) ?? -1));
	}
}

/** The shared pages of this process. */
export const sharedReads = new SharedReads();
