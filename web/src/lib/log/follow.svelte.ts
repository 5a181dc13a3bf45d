import type { Entry } from '@exetasis/core/record';
import { clock } from './clock';

const RETRY_MS = { first: 1000, most: 30_000 };

/** A job's event stream: what others add. It connects again by itself, with growing pauses, and says whether it hears. */
export class Follower {
	/** False while nothing is heard from the server. */
	hears = $state(true);
	readonly #job: string;
	readonly #receive: (entries: readonly Entry[]) => void;
	#events: EventSource | undefined;
	#retry = RETRY_MS.first;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(job: string, receive: (entries: readonly Entry[]) => void) {
		this.#job = job;
		this.#receive = receive;
	}

	/** Starts listening; call the result to stop. */
	start(): () => void {
		this.#connect();
		return () => {
			clearTimeout(this.#timer);
			this.#events?.close();
		};
	}

	#connect(): void {
		const events = new EventSource(`/jobs/${this.#job}/events`);
		this.#events = events;
		events.onopen = () => {
			this.hears = true;
			this.#retry = RETRY_MS.first;
		};
		events.onmessage = ({ data }) => this.#receive(JSON.parse(data) as Entry[]);
		events.addEventListener('clock', ({ data }) => clock.compare(Number(data)));
		events.onerror = () => {
			this.hears = false;
			// A lost connection the browser mends itself; an answer that is no stream it takes for the last word.
			if (events.readyState !== EventSource.CLOSED) return;
			this.#timer = setTimeout(() => this.#connect(), this.#retry);
			this.#retry = Math.min(this.#retry * 2, RETRY_MS.most);
		};
	}
}
