import { defineConfig } from '@playwright/test';

/** Against the built application and a real PostgreSQL, both started by npm test, which says where they are. */
export default defineConfig({
	testDir: '.',
	timeout: 180_000, // a busy machine is slow, not wrong
	expect: { timeout: 45_000 },
	workers: 2,
	// What changes the shop, a person's own settings or the machine's load runs by itself, after the rest.
	projects: [
		{ name: 'beside', grepInvert: /@alone/ },
		{ name: 'alone', grep: /@alone/, workers: 1, dependencies: ['beside'] }
	],
	reporter: [['list'], ['json', { outputFile: process.env.E2E_REPORT ?? 'test-results/report.json' }]],
	outputDir: 'test-results',
	use: {
		actionTimeout: 60_000,
		baseURL: process.env.E2E_ADDRESS,
		viewport: { width: 1280, height: 800 },
		contextOptions: { reducedMotion: 'reduce' }, // a press waits until what it presses stands still
		launchOptions: {
			executablePath: '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-quic',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		}
	}
});
