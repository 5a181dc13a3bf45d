import { faultsOf, lacksOf, type DraftFault, type SheetDraft } from '@exetasis/core/draft';
import { sheetDraftSchema, type Station } from '@exetasis/core/record';
import type { Draft } from '@exetasis/server/drafts';

/** Where a draft stands against what the server has. */
type SaveState = 'saved' | 'saving' | 'waiting' | 'conflict' | 'refused';

const SAVE_AFTER_MS = 500;
const CHECK_AFTER_MS = 150;
const RETRY_MS = 4000;
const MOST_UNDO = 200;

type Answer =
	| { readonly kind: 'saved'; readonly version: number }
	| { readonly kind: 'changed'; readonly draft: Draft }
	| { readonly kind: 'malformed'; readonly path: string; readonly message: string };

/**
 * A sheet that is being written in this browser: every edit can be undone, is kept in the browser at once, and is sent to the
 * server shortly after. An edit that rests on an older version than the server has is not sent; the person chooses.
 */
export class DraftState {
	body = $state.raw<SheetDraft>() as SheetDraft;
	/** Keys of the parts in hand. */
	selected = $state.raw<readonly string[]>([]);
	/** Key of the part whose mates are being touched on the drawing. */
	mating = $state<string>();
	state = $state<SaveState>('saved');
	/** What another person saved meanwhile. */
	theirs = $state.raw<Draft>();
	/** Why the server refused the draft. */
	refusal = $state('');
	#past = $state.raw<readonly SheetDraft[]>([]);
	#future = $state.raw<readonly SheetDraft[]>([]);
	readonly mayUndo = $derived(this.#past.length > 0);
	readonly mayRedo = $derived(this.#future.length > 0);
	// The check of a large sheet takes longer than a frame: an edit is painted first, and several are checked at once.
	#checked = $state.raw<SheetDraft>() as SheetDraft;
	readonly faults: readonly DraftFault[] = $derived(faultsOf(this.#checked));
	readonly lacks = $derived(lacksOf(this.#checked));
	readonly part: Station | undefined = $derived(
		this.selected.length === 1 ? this.body.stations.find(({ key }) => key === this.selected[0]) : undefined
	);

	readonly id: string;
	#version: number;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#checking: ReturnType<typeof setTimeout> | undefined;
	#sending: Promise<void> | undefined;

	constructor({ id, body, version }: Pick<Draft, 'id' | 'body' | 'version'>) {
		this.id = id;
		this.body = body;
		this.#checked = body;
		this.#version = version;
	}

	/** Takes up what this browser holds and the server does not have yet: a network that dropped, a closed tab. */
	takeUp(): void {
		const kept = this.#kept();
		if (!kept) return;
		this.#past = [this.body];
		this.body = kept.body;
		this.#check();
		// The server refuses it where another person has saved in between.
		this.#version = kept.version;
		this.#schedule(0);
	}

	get version(): number {
		return this.#version;
	}

	/** Replaces the draft by its next state. */
	change(next: SheetDraft | undefined): void {
		if (!next || next === this.body) return;
		this.#past = [...this.#past.slice(-MOST_UNDO + 1), this.body];
		this.#future = [];
		this.#show(next);
	}

	undo(): void {
		const last = this.#past.at(-1);
		if (!last) return;
		this.#past = this.#past.slice(0, -1);
		this.#future = [...this.#future, this.body];
		this.#show(last);
	}

	redo(): void {
		const next = this.#future.at(-1);
		if (!next) return;
		this.#future = this.#future.slice(0, -1);
		this.#past = [...this.#past, this.body];
		this.#show(next);
	}

	/** Takes the parts with these keys in hand, or adds one to those in hand. */
	select(keys: readonly string[], adding = false): void {
		this.mating = undefined;
		this.selected = adding ? [...new Set([...this.selected, ...keys])] : keys;
	}

	/** Sends what is not sent yet; resolves once the server has answered. */
	async flush(): Promise<void> {
		clearTimeout(this.#timer);
		await this.#sending;
		if (this.state !== 'saved') await this.#send();
	}

	/** Goes on from what the other person saved. One's own version can be had back by “Undo”. */
	takeTheirs(): void {
		if (!this.theirs) return;
		this.#past = [...this.#past, this.body];
		this.body = this.theirs.body;
		this.#check();
		this.#version = this.theirs.version;
		this.theirs = undefined;
		this.state = 'saved';
		this.#forget();
	}

	/** Saves one's own version over that of the other person, who sees it as the newer one. */
	keepMine(): void {
		if (!this.theirs) return;
		this.#version = this.theirs.version;
		this.theirs = undefined;
		this.#schedule(0);
	}

	#show(next: SheetDraft): void {
		this.body = next;
		this.#check();
		const there = new Set(next.stations.map(({ key }) => key));
		if (this.selected.some((key) => !there.has(key))) this.selected = this.selected.filter((key) => there.has(key));
		if (this.state === 'conflict') return this.#keep();
		this.#schedule(SAVE_AFTER_MS);
	}

	#check(): void {
		clearTimeout(this.#checking);
		this.#checking = setTimeout(() => (this.#checked = this.body), CHECK_AFTER_MS);
	}

	#schedule(ms: number): void {
		this.state = 'waiting';
		this.#keep();
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.#send(), ms);
	}

	async #send(): Promise<void> {
		if (this.#sending) {
			await this.#sending;
			return this.#send();
		}
		this.#sending = this.#post().finally(() => (this.#sending = undefined));
		return this.#sending;
	}

	async #post(): Promise<void> {
		const sent = this.body;
		this.state = 'saving';
		const answer = await fetch(`/sheets/drafts/${this.id}/body`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ version: this.#version, body: sent })
		}).catch(() => undefined);
		if (answer && (answer.status === 403 || answer.status === 404 || answer.status === 413)) {
			this.state = 'refused';
			this.refusal = ((await answer.json().catch(() => ({}))) as { message?: string }).message ?? '';
			return;
		}
		const told = answer?.ok ? ((await answer.json()) as Answer) : undefined;
		switch (told?.kind) {
			case 'saved':
				this.#version = told.version;
				if (this.body !== sent) return this.#schedule(SAVE_AFTER_MS);
				this.state = 'saved';
				this.refusal = '';
				return this.#forget();
			case 'changed':
				this.theirs = told.draft;
				this.state = 'conflict';
				return;
			case 'malformed':
				this.state = 'refused';
				this.refusal = `${told.path}: ${told.message}`;
				return;
			case undefined:
				return this.#schedule(RETRY_MS);
		}
	}

	get #place(): string {
		return `exetasis draft ${this.id}`;
	}

	#keep(): void {
		try {
			localStorage.setItem(this.#place, JSON.stringify({ version: this.#version, body: this.body }));
		} catch {
			// Full or switched off: the server has all but the last half second.
		}
	}

	#forget(): void {
		localStorage.removeItem(this.#place);
	}

	#kept(): { version: number; body: SheetDraft } | undefined {
		try {
			const kept = JSON.parse(localStorage.getItem(this.#place) ?? 'null') as { version: number; body: unknown } | null;
			const body = sheetDraftSchema.safeParse(kept?.body);
			return kept && body.success ? { version: kept.version, body: body.data } : undefined;
		} catch {
			return undefined;
		}
	}
}
