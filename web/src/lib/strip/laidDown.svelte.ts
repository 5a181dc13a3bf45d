import { v7 as uuidv7 } from 'uuid';
import type { Customs, LaidDown } from '@exetasis/core/draft';
import type { Picture } from '$lib/log/photo';
import { growSheet } from './growSheet';
import { laidKey } from './laidKey';

/** How a part can be found that is laid down. */
export const foundStates = ['right', 'fellOut', 'pieces', 'pieceLost'] as const;

/** What was seen of one piece as it came off: how it was found, and its photographs. */
export interface Seen {
	readonly found?: (typeof foundStates)[number];
	readonly photos: readonly Omit<Picture, 'jpeg'>[];
}

/** By cylinder; 0: of the pump. */
type ByCylinder<T> = Readonly<Record<number, T>>;

export type Pending = LaidDown &
	Required<Pick<LaidDown, 'pieces' | 'per' | 'face'>> & {
		readonly seen: ByCylinder<Seen>;
		/** The ids of its pieces, once they lie on the mat of this tablet. */
		readonly ids?: ByCylinder<string>;
	};
export type Laid = Pending & Required<Pick<Pending, 'ids'>>;

/** Parts that came off one after the other, behind the part of this key; empty: behind the last one. */
export interface Batch {
	readonly parts: readonly Laid[];
	readonly behind: string;
	/** It goes on the mat once, however often it is sent. */
	readonly request: string;
}

/** A size that is measured from now on, with what a new part measures there in its base unit. */
export interface NewSize {
	readonly part: string;
	readonly characteristic: string;
	readonly nominal: number;
	readonly request: string;
}

/** What this browser keeps until the server has it. */
interface Kept {
	readonly parts: readonly Pending[];
	readonly behind: string;
	/** On their way, in the order in which they were recorded. */
	readonly waiting: readonly (Batch | NewSize)[];
	/** The request of parts that were refused: what was recorded of them waits until they are put again. */
	readonly refused?: string;
}

const NOTHING: Kept = { parts: [], behind: '', waiting: [] };
const AGAIN_AFTER_MS = 15_000;

interface Around {
	/** What is usual for parts of a type, on the sheets that this shop knows. */
	readonly customs: Customs;
	/** Sends what was recorded before the parts came off; false while some of it is still here. */
	readonly sendEarlier: () => Promise<boolean>;
	/** Parts lie on the mat of the server now. */
	readonly onlaid: () => void;
}

/** The parts of one job that came off and that the server does not have yet. */
export class LaidDownList {
	#kept = $state.raw<Kept>(NOTHING);
	problem = $state('');
	sending = $state(false);
	readonly #job: string;
	readonly #around: Around;

	constructor(job: string, around: Around) {
		this.#job = job;
		this.#around = around;
		this.#kept = readKept(laidKey(job));
	}

	get customs(): Customs {
		return this.#around.customs;
	}
	get parts(): readonly Pending[] {
		return this.#kept.parts;
	}
	set parts(parts: readonly Pending[]) {
		const { refused, ...kept } = this.#kept;
		const still = refused !== undefined && parts.some(({ ids }) => ids);
		this.#keep({ ...kept, parts, ...(still ? { refused } : {}) });
	}
	get behind(): string {
		return this.#kept.behind;
	}
	set behind(behind: string) {
		this.#keep({ ...this.#kept, behind });
	}
	/** Parts on the mat of this tablet and sizes on its sheet: they go to the server as soon as it answers. */
	get waiting(): readonly (Batch | NewSize)[] {
		return this.#kept.waiting;
	}
	get #batches(): readonly Batch[] {
		return this.waiting.filter((laid) => 'parts' in laid);
	}
	get waitingParts(): number {
		return this.#batches.reduce((sum, { parts }) => sum + parts.length, 0);
	}

	/** What came off last and is not on the sheet of the server yet. */
	get last(): Pending | undefined {
		return this.parts.at(-1) ?? this.#batches.at(-1)?.parts.at(-1);
	}

	/** Puts the parts on the mat of this tablet, and on that of the server now or as soon as it answers; the parts with their ids. */
	put(cylinders: readonly number[]): readonly Laid[] {
		const { parts: pending, behind, waiting, refused } = this.#kept;
		if (pending.length === 0) return [];
		const parts = pending.map((part) => ({ ...part, ids: part.ids ?? idsOf(part, cylinders) }));
		const batch = { parts, behind, request: refused ?? uuidv7() };
		this.#keep({ parts: [], behind: '', waiting: [...waiting, batch] });
		return parts;
	}

	/** Adds a size of a part to the sheet of this tablet, and to that of the server now or as soon as it answers. */
	addSize(size: Omit<NewSize, 'request'>): void {
		this.#keep({ ...this.#kept, waiting: [...this.waiting, { ...size, request: uuidv7() }] });
		void this.send();
	}

	/** Sends what waits now, whenever the network comes back, and now and then. Returns what ends it. */
	sendWhenBack(): () => void {
		const send = () => void this.send();
		send();
		const again = setInterval(send, AGAIN_AFTER_MS);
		window.addEventListener('online', send);
		return () => {
			clearInterval(again);
			window.removeEventListener('online', send);
		};
	}

	/** Sends one after the other, as they were recorded. Parts that are refused go back into the list. */
	async send(): Promise<void> {
		if (this.sending || this.waiting.length === 0) return;
		this.sending = true;
		let laid = false;
		for (let next = this.waiting.at(0); next; next = this.waiting.at(0)) {
			if (!(await this.#around.sendEarlier())) break;
			const answer = await growSheet(this.#job, ...fieldsOf(next));
			if (answer.kind === 'unanswered') break;
			const kept = { ...this.#kept, waiting: this.waiting.slice(1) };
			this.problem = answer.kind === 'refused' ? answer.why : '';
			if (answer.kind === 'refused' && 'parts' in next) {
				// How they were found is recorded already, by their ids.
				const back = next.parts.map((part) => ({ ...part, seen: {} }));
				this.#keep({ ...kept, parts: [...back, ...this.parts], behind: next.behind, refused: next.request });
				break;
			}
			this.#keep(kept);
			laid = true;
		}
		this.sending = false;
		if (laid) this.#around.onlaid();
	}

	#keep(kept: Kept): void {
		this.#kept = kept;
		try {
			if (kept.parts.length + kept.waiting.length > 0) localStorage.setItem(laidKey(this.#job), JSON.stringify(kept));
			else localStorage.removeItem(laidKey(this.#job));
		} catch {
			// Full or switched off: the list lives as long as the page.
		}
	}
}

/** The act by which the server is asked, with its fields. */
function fieldsOf(next: Batch | NewSize): ['lay' | 'size', Record<string, string>] {
	if (!('parts' in next)) {
		const { part, characteristic, nominal } = next;
		return ['size', { part, characteristic, nominal: String(nominal) }];
	}
	const { parts, behind, request } = next;
	const bare = parts.map(({ seen: _, ids: __, ...part }) => part);
	const ids = JSON.stringify(parts.map((part) => part.ids));
	return ['lay', { parts: JSON.stringify(bare), behind, request, ids }];
}

const idsOf = ({ per }: Pending, cylinders: readonly number[]): ByCylinder<string> =>
	Object.fromEntries((per === 'pump' ? [0] : cylinders).map((cylinder) => [cylinder, uuidv7()]));

function readKept(place: string): Kept {
	try {
		const kept = JSON.parse(localStorage.getItem(place) ?? 'null') as Kept | null;
		return Array.isArray(kept?.parts) && Array.isArray(kept.waiting) ? kept : NOTHING;
	} catch {
		return NOTHING;
	}
}
