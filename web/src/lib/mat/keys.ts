/** What is in hand when a key is struck. */
export interface InHand {
	readonly mode: 'look' | 'measure';
	/** The job is released, or this person may only look. */
	readonly locked: boolean;
	/** The part has sizes. */
	readonly measurable: boolean;
	/** The key was struck on a button that has its own meaning for Enter. */
	readonly onButton: boolean;
}

/** What a key of the mat asks for. */
export type Command =
	| { readonly does: 'help' }
	| { readonly does: 'move'; readonly key: string }
	| { readonly does: 'enter' }
	| { readonly does: 'undo' }
	| { readonly does: 'mode'; readonly mode: 'look' | 'measure' }
	/** Puts the digit into the reading's field, by giving that the focus before the key arrives. */
	| { readonly does: 'startReading' }
	| { readonly does: 'clean' }
	/** Counted from 0. */
	| { readonly does: 'pattern'; readonly index: number };

interface Struck {
	readonly key: string;
	/** Held down until it repeats. */
	readonly repeat: boolean;
}

/**
 * From a key to a command: digits belong to the look or to the gauge, whichever is in hand. What is recorded or taken back
 * needs a stroke of its own: a key that is held down only moves. Undefined: not a key of the mat.
 */
export function commandOf(
	{ key, repeat }: Struck,
	{ mode, locked, measurable, onButton }: InHand
): Command | undefined {
	if (key === '?') return { does: 'help' };
	if (/^(Arrow|Home$|End$)/.test(key)) return { does: 'move', key };
	if (locked || repeat) return undefined;
	if (key === 'Enter') return onButton ? undefined : { does: 'enter' };
	if (key === 'Backspace') return { does: 'undo' };
	if (key === 'm' || key === 'M') return { does: 'mode', mode: measurable ? 'measure' : 'look' };
	if (key === 'l' || key === 'L') return { does: 'mode', mode: 'look' };
	if (mode === 'measure' && /^[0-9.,]$/.test(key)) return { does: 'startReading' };
	if (key === '0') return { does: 'clean' };
	return /^[1-9]$/.test(key) ? { does: 'pattern', index: Number(key) - 1 } : undefined;
}
