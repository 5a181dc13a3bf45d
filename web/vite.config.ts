import { readFileSync } from 'node:fs';
import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, type Plugin } from 'vite';

/** The browser reads by our schemas, and only the server writes JSON Schemas of them: Zod's writer would be 7 kB of Inspect. */
const withoutSchemaWriter: Plugin = {
	name: 'without-schema-writer',
	applyToEnvironment: ({ name }) => name === 'client',
	load(id) {
		if (!/\/zod\/v4\/core\/(json-schema-processors|to-json-schema)\.js$/.test(id)) return undefined;
		const names = readFileSync(id, 'utf8').matchAll(/^export (?:const|function) (\w+)/gm);
		const refuse = `const refuse = () => { throw new Error('The server writes JSON Schemas.'); };\n`;
		return refuse + [...names].map(([, name]) => `export const ${name} = refuse;`).join('\n');
	}
};

/** Our forms use Zod only. The adapters for other validators, which superforms imports as well, are 1,850 modules of the build. */
const withoutOtherValidators: Plugin = {
	name: 'without-other-validators',
	load(id) {
		if (!id.endsWith('/sveltekit-superforms/dist/adapters/index.js')) return undefined;
		return `export { zod as zod4, zodClient as zod4Client } from './zod4.js';`;
	}
};

/** Each file is a request before the first paint, so modules that 24 or more pages or dialogs share go into one file. */
const fewFiles: Plugin = {
	name: 'few-files',
	applyToEnvironment: ({ name }) => name === 'client',
	outputOptions: (options) => ({
		...options,
		codeSplitting: { groups: [{ name: 'shared', minShareCount: 24 }] }
	})
};

export default defineConfig({
	plugins: [fewFiles, withoutSchemaWriter, withoutOtherValidators, tailwindcss(), sveltekit()],
	// Fonts as files: the content security policy lets none in from data URLs.
	build: { assetsInlineLimit: 0 },
	// The Svelte plugin bundles packages that depend on Svelte. Only the client of this one does, and it is not used here.
	ssr: { external: ['better-auth'] }
});
