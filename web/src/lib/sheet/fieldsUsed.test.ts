// No field of the model sheet without a use: each is read by the core or shown by a screen, outside of the format's own files.
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { sheetJsonSchema } from '@exetasis/core/record';

const root = new URL('../../../../', import.meta.url).pathname;
/** Files that define and check the format: a field that only they name is not used. */
const ofTheFormat = [
	'schema',
	'station',
	'step',
	'supplies',
	'variants',
	'fastening',
	'characteristic',
	'primitives',
	'problems',
	'orderProblems',
	'lift'
].map((name) => `record/sheet/${name}.ts`);

function* sources(folder: string): Generator<string> {
	for (const name of readdirSync(folder)) {
		const path = join(folder, name);
		if (statSync(path).isDirectory()) yield* sources(path);
		else if (
			/\.(ts|svelte)$/.test(name) &&
			!name.includes('.test.') &&
			!ofTheFormat.some((text) => path.endsWith(text))
		)
			yield readFileSync(path, 'utf8');
	}
}
const code = ['core/src', 'server/src', 'web/src'].flatMap((folder) => [...sources(join(root, folder))]).join('\n');

function* fields(schema: unknown): Generator<string> {
	if (Array.isArray(schema)) for (const item of schema) yield* fields(item);
	else if (typeof schema === 'object' && schema !== null)
		for (const [key, value] of Object.entries(schema)) {
			if (key === 'properties') yield* Object.keys(value as object);
			yield* fields(value);
		}
}

it.each([...new Set(fields(sheetJsonSchema()))])('%s is read', (field) => {
	const read = new RegExp(`(\\.|\\?\\.)${field}\\b|[{,]\\s*(\\w+:\\s*\\{\\s*)?${field}\\b\\s*[,:}=]`);
	expect(read.test(code), field).toBe(true);
});
