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

export default defineConfig({
	plugins: [withoutSchemaWriter, tailwindcss(), sveltekit()],
	// Fonts as files: the content security policy lets none in from data URLs.
	// Few files rather than many small ones: each is a request before the first paint.
	build: { assetsInlineLimit: 0, rollupOptions: { output: { experimentalMinChunkSize: 1500 } } }
});
