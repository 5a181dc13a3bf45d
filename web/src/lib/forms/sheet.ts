import { z } from 'zod';

/**
 * A sheet's text, as it was typed; what is wrong with it the reader of sheets says, with line and path.
 * A form is sent with CRLF ends of lines: the text gets back the ends that were typed.
 */
export const sheetTextSchema = z.object({
	text: z
		.string()
		.max(4_000_000)
		.default('')
		.transform((text) => text.replaceAll('\r\n', '\n'))
});

/** What was wrong with a sheet that was not taken in. */
export interface SheetFaults {
	readonly faults: readonly { readonly line: number; readonly path: string; readonly message: string }[];
	/** How many more there are than are shown. */
	readonly more: number;
}
