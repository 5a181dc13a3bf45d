import { defineConfig } from 'vitest/config';
import { fileURLToPath } from 'node:url';

export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('web/src/lib', import.meta.url)) } },
	test: {
		include: ['{core,server,demo,web}/src/**/*.test.ts', 'scripts/**/*.test.ts'],
		testTimeout: 30_000,
		hookTimeout: 60_000
	}
});
