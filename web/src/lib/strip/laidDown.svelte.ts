import { v7 as uuidv7 } from 'uuid';
import type { LaidDown } from '@exetasis/core/draft';
import { growSheet } from './growSheet';
import { keepSeen, type Seen } from './seen';

export type Pending = LaidDown & Required<Pick<LaidDown, 'pieces' | 'per' | 'face'>> & { readonly seen: Seen };

/** Parts that came off one after the other, behind the part of this key; empty: behind the last one. */
interface Batch {
	readonly parts: readonly Pending[];
	readonly behind: string;
}

/** What this browser keeps until the server has it. */
interface Kept extends Batch {
	/** On their way, each with an id: it goes on the mat once, however often it is sent. */
	readonly waiting: readonly (Batch & { readonly request: string })[];
}

const NOTHING: Kept = { parts: [], behind: '', waiting: [] };
const AGAIN_AFTER_MS = 15_000;

/** The parts of one job that came off and do not lie on its mat yet. */
export class LaidDownList {
	#kept = $state.raw<Kept>(NOTHING);
	problem = $state('');
	sending = $state(false);
	readonly #job: string;
	readonly #place: string;
	readonly #onlaid: () => void;

	constructor(job: string, onlaid: () => void) {
		this.#job = job;
		this.#place = `exetasis laid down ${job}`;
		this.#onlaid = onlaid;
		this.#kept = readKept(this.#place);
	}

	get parts(): readonly Pending[] {
		return this.#kept.parts;
	}
	set parts(parts: readonly Pending[]) {
		this.#keep({ ...this.#kept, parts });
	}
	get behind(): string {
		return this.#kept.behind;
	}
	set behind(behind: string) {
		this.#keep({ ...this.#kept, behind });
	}
	/** Parts that go on the mat as soon as the server answers. */
	get waiting(): number {
		return this.#kept.waiting.reduce((sum, { parts }) => sum + parts.length, 0);
	}

	/** What came off last and does not lie on the mat yet. */
	get last(): Pending | undefined {
		return this.parts.at(-1) ?? this.#kept.waiting.at(-1)?.parts.at(-1);
	}

	/** Puts the parts on the mat, now or as soon as the server answers. */
	async put(): Promise<void> {
		const { parts, behind, waiting } = this.#kept;
		if (parts.length > 0)
			this.#keep({ ...this.#kept, parts: [], behind: '', waiting: [...waiting, { parts, behind, request: uuidv7() }] });
		await this.#send();
	}

	/** Sends what waits whenever the network comes back, and now and then. Returns what ends it. */
	sendWhenBack(): () => void {
		const send = () => void (this.waiting > 0 && this.#send());
		send();
		const again = setInterval(send, AGAIN_AFTER_MS);
		window.addEventListener('online', send);
		return () => {
			clearInterval(again);
			window.removeEventListener('online', send);
		};
	}

	// One batch after the other, as they came off. What is refused goes back into the list.
	async #send(): Promise<void> {
		if (this.sending) return;
		this.sending = true;
		let laid = false;
		for (let next = this.#kept.waiting.at(0); next; next = this.#kept.waiting.at(0)) {
			const { parts, behind, request } = next;
			const bare = parts.map(({ seen: _, ...part }) => part);
			const answer = await growSheet(this.#job, 'lay', { parts: JSON.stringify(bare), behind, request });
			if (answer.kind === 'unanswered') break;
			const waiting = this.#kept.waiting.slice(1);
			if (answer.kind === 'refused') {
				this.problem = answer.why;
				this.#keep({ ...this.#kept, parts: [...parts, ...this.parts], behind, waiting });
				break;
			}
			this.problem = '';
			keepSeen(
				this.#job,
				answer.stations.flatMap((station, i) => (parts[i] ? [{ ...parts[i].seen, station }] : []))
			);
			this.#keep({ ...this.#kept, waiting });
			laid = true;
		}
		this.sending = false;
		if (laid) this.#onlaid();
	}

	#keep(kept: Kept): void {
		this.#kept = kept;
		try {
			if (kept.parts.length + kept.waiting.length > 0) localStorage.setItem(this.#place, JSON.stringify(kept));
			else localStorage.removeItem(this.#place);
		} catch {
			// Full or switched off: the list lives as long as the page.
		}
	}
}

function readKept(place: string): Kept {
	try {
		const kept = JSON.parse(localStorage.getItem(place) ?? 'null') as Kept | null;
		return Array.isArray(kept?.parts) && Array.isArray(kept.waiting) ? kept : NOTHING;
	} catch {
		return NOTHING;
	}
}
