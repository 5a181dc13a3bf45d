import { kindOf, type Entry } from './entry';
import { fold, inLogOrder } from './fold';
import { emptyState, type JobState, type OpenState } from './jobState';

/**
 * A job's log that grows, with its state: what comes after all that is there is added to the state, and anything else
 * (an entry of an earlier moment, one that takes another back) folds the log again when its state is asked for.
 */
export class RunningLog {
	#entries = new Map<string, Entry>();
	#last: Entry | undefined;
	#state: OpenState = emptyState();
	#withdrawn: ReadonlySet<string> = new Set();
	#stale = false;

	constructor(entries: Iterable<Entry> = []) {
		this.add(entries);
	}

	get size(): number {
		return this.#entries.size;
	}
	has(id: string): boolean {
		return this.#entries.has(id);
	}

	/** Adds entries of the job; those that are there already change nothing. */
	add(entries: Iterable<Entry>): void {
		for (const entry of inLogOrder(entries)) {
			if (this.#entries.has(entry.id)) continue;
			this.#entries.set(entry.id, entry);
			this.#stale ||= !this.#follows(entry) || kindOf(entry).takesBack !== undefined || this.#withdrawn.has(entry.id);
			if (this.#stale) continue;
			kindOf(entry).add(this.#state, entry);
			this.#last = entry;
		}
	}

	/** What the log says: the same as `fold` of its entries. It grows with them. */
	get state(): JobState {
		if (this.#stale) {
			const { withdrawn, ...state } = fold(this.#entries.values());
			this.#state = state as OpenState;
			this.#withdrawn = withdrawn;
			this.#last = inLogOrder(this.#entries.values()).at(-1);
			this.#stale = false;
		}
		return { ...this.#state, withdrawn: this.#withdrawn };
	}

	/** A log of its own with the same entries. */
	copy(): RunningLog {
		const log = new RunningLog();
		log.#entries = new Map(this.#entries);
		log.#last = this.#last;
		log.#state = copyOf(this.#state);
		log.#withdrawn = this.#withdrawn;
		log.#stale = this.#stale;
		return log;
	}

	#follows(entry: Entry): boolean {
		return this.#last === undefined || inLogOrder([this.#last, entry])[1] === entry;
	}
}

const copyOf = ({ parts, steps, cylindersDone, answers, unitsIn, ...lists }: OpenState): OpenState => ({
	parts: new Map(parts),
	steps: new Map(steps),
	cylindersDone: new Map(cylindersDone),
	answers: new Map(answers),
	unitsIn: new Map(unitsIn),
	notes: [...lists.notes],
	photos: [...lists.photos],
	arrivals: [...lists.arrivals],
	proofs: [...lists.proofs],
	corrections: [...lists.corrections]
});
