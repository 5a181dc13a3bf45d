/** What is in hand when a key is struck. */
export interface InHand {
	/** The job is released, or this person may only look. */
	readonly locked: boolean;
	/** The part has sizes. */
	readonly measurable: boolean;
	/** The key was struck on a button that has its own meaning for Enter and space. */
	readonly onButton: boolean;
}

/** What a key of the mat asks for. */
export type Command =
	| { readonly does: 'help' }
	| { readonly does: 'move'; readonly key: string }
	| { readonly does: 'enter' }
	| { readonly does: 'undo' }
	/** Puts the digit into the reading's field, by giving that the focus before the key arrives. */
	| { readonly does: 'startReading' }
	/** A reading on a part that has no size: it belongs nowhere. */
	| { readonly does: 'strayReading' }
	| { readonly does: 'clean' }
	/** Counted from 0. */
	| { readonly does: 'pattern'; readonly index: number };

export interface Struck {
	readonly key: string;
	/** Where the key lies, whatever the keyboard's language writes on it. */
	readonly code: string;
	/** Held down until it repeats. */
	readonly repeat: boolean;
}

/** The keys of the patterns, by position: two rows under the left hand. */
export const patternCodes = [
	...['KeyQ', 'KeyW', 'KeyE', 'KeyR', 'KeyT'],
	...['KeyA', 'KeyS', 'KeyD', 'KeyF', 'KeyG']
] as const;

/**
 * From a key to a command, the same at every time: digits, sign and decimal sign begin a reading, letters under the left hand
 * mark patterns, space is clean. What is recorded or taken back needs a stroke of its own: a key that is held down only moves.
 * Undefined: not a key of the mat.
 */
export function commandOf(
	{ key, code, repeat }: Struck,
	{ locked, measurable, onButton }: InHand
): Command | undefined {
	if (key === '?') return { does: 'help' };
	if (/^(Arrow|Home$|End$)/.test(key)) return { does: 'move', key };
	if (locked || repeat) return undefined;
	if (key === 'Enter') return onButton ? undefined : { does: 'enter' };
	if (key === ' ') return onButton ? undefined : { does: 'clean' };
	if (key === 'Backspace') return { does: 'undo' };
	if (/^[0-9.,+−-]$/.test(key)) return { does: measurable ? 'startReading' : 'strayReading' };
	const index = (patternCodes as readonly string[]).indexOf(code);
	return index < 0 ? undefined : { does: 'pattern', index };
}

const BURST_MS = 60; // a gauge that types leaves a few milliseconds between characters, a hand a tenth of a second

/**
 * The rest of what a gauge types after a reading that belonged nowhere, or that has been taken: characters and Enters that
 * follow at a pace no hand has. They do nothing: a reading counts as a whole or not at all.
 */
export class Burst {
	#last = -Infinity;

	/** Begins with what has been struck or taken at this moment, in ms. */
	begin(at: number): void {
		this.#last = at;
	}

	/** Whether what is struck at this moment belongs to it. */
	holds(at: number): boolean {
		if (at - this.#last > BURST_MS) return false;
		this.#last = at;
		return true;
	}
}
