import { defineConfig } from 'vitest/config';
import { fileURLToPath } from 'node:url';

const alias = { $lib: fileURLToPath(new URL('web/src/lib', import.meta.url)) };
const onDatabase = ['web/src/lib/report/report.test.ts'];
// These set what a process has one of: its database, its connection for events, its sessions.
const onProcess = ['auth/signin', 'background/queue', 'events', 'people'].map((name) => `server/src/${name}.test.ts`);
const patience = { testTimeout: 30_000, hookTimeout: 60_000 };

export default defineConfig({
	test: {
		maxWorkers: 2, // all that the least machine has; without it one core stands idle
		projects: [
			// Test files share loaded modules: loading them for each file takes half of the time.
			{
				resolve: { alias },
				test: {
					name: 'pure',
					include: ['{core,demo,web}/src/**/*.test.ts'],
					exclude: onDatabase,
					isolate: false,
					...patience
				}
			},
			{
				resolve: { alias },
				test: {
					name: 'server',
					include: ['server/src/**/*.test.ts', 'scripts/**/*.test.ts', ...onDatabase],
					exclude: onProcess,
					globalSetup: 'server/src/testDatabase.ts',
					isolate: false,
					...patience
				}
			},
			{
				test: {
					name: 'process',
					include: onProcess,
					globalSetup: 'server/src/testDatabase.ts',
					...patience
				}
			}
		]
	}
});
