// One event stream for all tabs of a browser: a browser keeps six connections to a server, and seven tabs would leave none to save by.
import type { Entry } from '@exetasis/core/record';

/** What a tab is told of the jobs that it follows. */
interface Listener {
	readonly entries: (entries: readonly Entry[]) => void;
	readonly hears: (hears: boolean) => void;
	readonly clock: (serverTime: number) => void;
}

/** What tabs say to each other. */
type Said =
	/** The jobs that a tab follows, none once it is done. */
	| { readonly kind: 'follows'; readonly tab: string; readonly jobs: readonly string[] }
	/** The tab that holds the stream asks who follows what. */
	| { readonly kind: 'who' }
	| { readonly kind: 'entries'; readonly job: string; readonly entries: readonly Entry[] }
	| { readonly kind: 'hears'; readonly hears: boolean }
	| { readonly kind: 'clock'; readonly at: number };

const NAME = 'exetasis-events';
const RETRY_MS = { first: 1000, most: 30_000 };
const GATHER_MS = 50; // tabs answer within it
const SILENT_MS = 60_000; // the server's clock comes every twenty seconds

/** The part that a tab plays: it follows jobs, and one of the tabs holds the stream for all. */
export class BrowserStream {
	readonly #tab = crypto.randomUUID?.() ?? String(Math.random());
	readonly #listeners = new Map<string, Set<Listener>>();
	readonly #channel: BroadcastChannel | undefined;
	/** By tab, as far as this one holds the stream. */
	readonly #followed = new Map<string, readonly string[]>();
	#holds = false;
	#events: EventSource | undefined;
	#open = '';
	#retry = RETRY_MS.first;
	#gathering: ReturnType<typeof setTimeout> | undefined;
	#silence: ReturnType<typeof setTimeout> | undefined;

	constructor(locks: LockManager | undefined, channel: BroadcastChannel | undefined) {
		// Where the browser has no locks (no secure connection), each tab holds a stream of its own.
		if (!locks || !channel) {
			this.#holds = true;
			return;
		}
		this.#channel = channel;
		channel.onmessage = ({ data }: MessageEvent<Said>) => this.#hear(data);
		// Held until the tab is gone; then the next one has it.
		locks
			.request(NAME, () => {
				this.#hold();
				return new Promise(() => undefined);
			})
			.catch(() => this.#hold());
	}

	#hold(): void {
		this.#holds = true;
		this.#say({ kind: 'who' });
		this.#gather();
	}

	/** The tab goes, or comes back as it was. */
	away(): void {
		this.#say({ kind: 'follows', tab: this.#tab, jobs: [] });
	}
	back(): void {
		this.#announce();
	}

	/** Tells of a job from now on, its whole log first; call the result to stop. */
	follow(job: string, listener: Listener): () => void {
		const ofJob = this.#listeners.get(job) ?? new Set();
		this.#listeners.set(job, ofJob.add(listener));
		this.#announce();
		this.#heard();
		return () => {
			ofJob.delete(listener);
			if (ofJob.size === 0) this.#listeners.delete(job);
			this.#announce();
		};
	}

	#announce(): void {
		const jobs = [...this.#listeners.keys()];
		if (this.#holds) this.#gather();
		else this.#say({ kind: 'follows', tab: this.#tab, jobs });
	}

	#say(said: Said): void {
		this.#channel?.postMessage(said);
	}

	#hear(said: Said): void {
		switch (said.kind) {
			case 'follows':
				if (said.jobs.length > 0) this.#followed.set(said.tab, said.jobs);
				else this.#followed.delete(said.tab);
				// A tab that has just begun to follow a job waits for its log, though the stream had it already.
				if (this.#holds) this.#gather(said.jobs.length > 0);
				return;
			case 'who':
				return this.#announce();
			default:
				this.#tell(said);
		}
	}

	#tell(said: Exclude<Said, { kind: 'follows' | 'who' }>): void {
		this.#heard();
		for (const [job, listeners] of this.#listeners)
			for (const listener of listeners)
				if (said.kind === 'entries') {
					if (said.job === job) listener.entries(said.entries);
				} else if (said.kind === 'clock') listener.clock(said.at);
				else listener.hears(said.hears);
	}

	// Nothing for so long: the tab that holds the stream is stopped.
	#heard(): void {
		clearTimeout(this.#silence);
		this.#silence = setTimeout(() => {
			for (const listeners of this.#listeners.values()) for (const { hears } of listeners) hears(false);
		}, SILENT_MS);
	}

	#gather(anew = false): void {
		if (anew) this.#open = '';
		clearTimeout(this.#gathering);
		// A hidden tab's timers may be held back for a minute.
		if (globalThis.document?.visibilityState === 'hidden') this.#connect();
		else this.#gathering = setTimeout(() => this.#connect(), GATHER_MS);
	}

	#connect(): void {
		const jobs = [...new Set([...this.#listeners.keys(), ...[...this.#followed.values()].flat()])].sort();
		const wanted = jobs.map((job) => `job=${encodeURIComponent(job)}`).join('&');
		if (wanted === this.#open && this.#events?.readyState !== EventSource.CLOSED) return;
		this.#events?.close();
		this.#open = wanted;
		if (wanted === '') return;
		const events = new EventSource(`/events?${wanted}`);
		this.#events = events;
		const pass = (said: Exclude<Said, { kind: 'follows' | 'who' }>) => {
			this.#tell(said);
			this.#say(said);
		};
		events.onopen = () => {
			this.#retry = RETRY_MS.first;
			pass({ kind: 'hears', hears: true });
		};
		events.onmessage = ({ data }) => {
			const { job, entries } = JSON.parse(data) as { job: string; entries: Entry[] };
			pass({ kind: 'entries', job, entries });
		};
		events.addEventListener('clock', ({ data }) => pass({ kind: 'clock', at: Number(data) }));
		events.onerror = () => {
			pass({ kind: 'hears', hears: false });
			// A lost connection the browser mends itself; an answer that is no stream it takes for the last word.
			if (events.readyState !== EventSource.CLOSED || this.#events !== events) return;
			this.#gathering = setTimeout(() => this.#connect(), this.#retry);
			this.#retry = Math.min(this.#retry * 2, RETRY_MS.most);
		};
	}
}

let stream: BrowserStream | undefined;
/** This tab's part in the browser's stream. */
export function browserStream(): BrowserStream {
	if (stream) return stream;
	const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(NAME);
	const own = (stream = new BrowserStream(navigator.locks, channel));
	addEventListener('pagehide', () => own.away());
	addEventListener('pageshow', ({ persisted }) => persisted && own.back());
	return own;
}
