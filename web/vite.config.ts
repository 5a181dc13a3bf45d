import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	// Fonts as files: the content security policy lets none in from data URLs.
	build: { assetsInlineLimit: 0 }
});
