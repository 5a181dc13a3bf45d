import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	// Fonts as files: the content security policy lets none in from data URLs.
	// Few files rather than many small ones: each is a request before the first paint.
	build: { assetsInlineLimit: 0, rollupOptions: { output: { experimentalMinChunkSize: 1500 } } }
});
