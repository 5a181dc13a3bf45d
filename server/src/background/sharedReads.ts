import { setImmediate } from 'node:timers/promises';
import { FairTurns } from './fairTurns';

/** A page’s data as it was worked out last, or is being. */
interface Read {
	readonly startedAt: number;
	readonly answer: Promise<unknown>;
	done: boolean;
}

/** Who asks, of which shop. */
export interface Reader {
	readonly shop: string;
	readonly user: string;
}

const MOST_AT_ONCE = 2;
/** While others write all the time a page may be as old as this. */
const STALE_MS = 2000;
/** What other servers of the same database changed shows after this at the latest. */
const MOST_KEPT_MS = 5000;
const MOST_KEPT = 500;

/**
 * Pages that take many statements, shared by all who look: worked out once however many ask, kept until something of the shop
 * changes, and few at a time, so that saving goes before looking. Nobody is shown a page from before their own last change.
 */
export class SharedReads {
	readonly #kept = new Map<string, Read>();
	readonly #changed = new Map<string, number>(); // by shop, and by person: when something was last changed
	readonly #turns = new FairTurns(MOST_AT_ONCE);
	readonly #now: () => number;

	constructor(now: () => number = () => performance.now()) {
		this.#now = now;
	}

	/** Somebody of this shop changes something: to be called before and after, since a page may be read in between. */
	changes({ shop, user }: Reader): void {
		const now = this.#now();
		this.#changed.set(`shop ${shop}`, now);
		this.#changed.set(`user ${user}`, now);
		if (this.#changed.size > MOST_KEPT) this.#changed.delete(this.#changed.keys().next().value!);
	}

	/** The page of this name for a reader: a kept one that is good enough, else worked out. */
	read<Answer>({ shop, user }: Reader, name: string, work: () => Promise<Answer>): Promise<Answer> {
		const key = `${shop} ${name}`;
		const found = this.#kept.get(key);
		if (found && this.#isGood(found, shop, user)) return this.#apart(found.answer as Promise<Answer>);
		const made: Read = { startedAt: this.#now(), answer: this.#turns.take(shop, work), done: false };
		this.#kept.delete(key);
		this.#kept.set(key, made);
		if (this.#kept.size > MOST_KEPT) this.#kept.delete(this.#kept.keys().next().value!);
		made.answer.then(
			() => (made.done = true),
			() => this.#kept.get(key) === made && this.#kept.delete(key)
		);
		return this.#apart(made.answer as Promise<Answer>);
	}

	// Those who waited for the same page get it one after the other: while one is drawn, others save.
	async #apart<Answer>(answer: Promise<Answer>): Promise<Answer> {
		await answer;
		await (this.#last = this.#last.then(() => setImmediate()));
		return answer;
	}
	#last: Promise<void> = Promise.resolve();

	#isGood({ startedAt, done }: Read, shop: string, user: string): boolean {
		if (startedAt <= (this.#changed.get(`user ${user}`) ?? -1)) return false;
		if (!done) return true;
		const age = this.#now() - startedAt;
		return age <= STALE_MS || (age <= MOST_KEPT_MS && startedAt > (this.#changed.get(`shop ${shop}`) ?? -1));
	}
}

/** Those of this process. */
export const sharedReads = new SharedReads();
