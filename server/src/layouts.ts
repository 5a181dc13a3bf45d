// The known pump layouts as model sheets. They ship with the application and are there for every shop, with or without the demo.
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { setImmediate } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { readSheet, type ModelSheet } from '@exetasis/core/record';

// The built server lies elsewhere and is told where they are.
const folder = (): string => process.env.LAYOUT_SHEETS ?? fileURLToPath(new URL('../../demo/sheets', import.meta.url));

let reading: Promise<readonly ModelSheet[]> | undefined;

/** Every known layout, read once. */
export const layoutSheets = (): Promise<readonly ModelSheet[]> => (reading ??= readAll());

async function readAll(): Promise<readonly ModelSheet[]> {
	const sheets: ModelSheet[] = [];
	for (const file of (await readdir(folder())).sort()) {
		const read = readSheet(await readFile(join(folder(), file), 'utf8'));
		if (read.kind === 'sheet') sheets.push(read.sheet);
		await setImmediate(); // other requests run between two sheets
	}
	return sheets;
}
