import type { Entry } from '@exetasis/core/record';
import { clock } from './clock';
import { browserStream } from './browserStream';

/** What others add to a job; says whether the server is heard. */
export class Follower {
	/** False while nothing is heard from the server. */
	hears = $state(true);
	readonly #job: string;
	readonly #receive: (entries: readonly Entry[]) => void;

	constructor(job: string, receive: (entries: readonly Entry[]) => void) {
		this.#job = job;
		this.#receive = receive;
	}

	/** Starts listening; call the result to stop. */
	start(): () => void {
		return browserStream().follow(this.#job, {
			entries: this.#receive,
			hears: (hears) => (this.hears = hears),
			clock: (at) => clock.compare(at)
		});
	}
}
