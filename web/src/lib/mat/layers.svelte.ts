import { fetchHistory, type EarlierAtPlace } from './history';

/** What the mat shows of each part: what is judged now, how it was found, what became of this place before. */
export const layers = ['judged', 'found', 'history'] as const;
export type Layer = (typeof layers)[number];

export const layerName: Readonly<Record<Layer, string>> = {
	judged: 'Judged',
	found: 'As found',
	history: 'Before'
};

/** The layer in hand, and the history once it was asked for. */
export class MatLayers {
	shown = $state<Layer>('judged');
	history = $state.raw<ReadonlyMap<string, readonly EarlierAtPlace[]>>();
	/** True where it was asked for and did not come. */
	failed = $state(false);
	readonly #job: string;

	constructor(job: string) {
		this.#job = job;
	}

	async next(): Promise<void> {
		this.shown = layers[(layers.indexOf(this.shown) + 1) % layers.length];
		if (this.shown === 'history') await this.fetch();
	}

	/** Asks for the history, once. */
	async fetch(): Promise<void> {
		if (this.history) return;
		this.history = await fetchHistory(this.#job);
		this.failed = this.history === undefined;
	}
}
