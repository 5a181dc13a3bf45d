import { z } from 'zod';

// Controls, separators of lines, and marks that turn the direction of what follows: none of them is seen in a name, and all of
// them change the lines of a calendar, the name of a file, or what stands beside it.
const HIDDEN = /[\p{Cc}\u2028\u2029\u200E\u200F\u061C\u202A-\u202E\u2066-\u2069]/u;

/** A name on one line (of a pump, person, gauge, site, lot), written alike however it was typed: NFC, without spaces around it. */
export const nameText = (most: number, says = 'holds a line break or a hidden character') =>
	z
		.string()
		.normalize('NFC')
		.trim()
		.max(most, `At most ${most} characters.`)
		.refine((text) => !HIDDEN.test(text) && text.isWellFormed(), says);
