import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		adapter: adapter(),
		// A page's own styles come with it: a dozen small files delay the first paint.
		inlineStyleThreshold: 8192,
		csp: {
			mode: 'nonce',
			directives: {
				'default-src': ['none'],
				'script-src': ['self'],
				'style-src': ['self'],
				// Bars and drawings set their sizes by style attributes; style elements and sheets stay our own.
				'style-src-attr': ['unsafe-inline'],
				// A photograph is seen before it has been sent.
				'img-src': ['self', 'data:', 'blob:'],
				'font-src': ['self'],
				'connect-src': ['self'],
				'worker-src': ['self'],
				'form-action': ['self'],
				'base-uri': ['none'],
				'frame-ancestors': ['none']
			}
		}
	}
};
