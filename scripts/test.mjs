// npm test: unit and integration tests, then the browser tests against the built application; a throw-away database.
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildWhereChanged } from './lib/build.mjs';
import { startDevices } from './lib/devices.mjs';
import { ensureChromium, ensurePackages } from './lib/install.mjs';
import { temporaryCluster } from './lib/postgres.mjs';
import { main, run, runAsync } from './lib/run.mjs';
import { prepareDemo, serveBuilt, stopServer, THROW_AWAY_SECRET } from './lib/server.mjs';

function vitestCounts(file) {
	if (!existsSync(file)) return { passed: 0, failed: 1 };
	const { numPassedTests, numFailedTests, numFailedTestSuites, success } = JSON.parse(readFileSync(file, 'utf8'));
	return { passed: numPassedTests, failed: success ? 0 : Math.max(1, numFailedTests, numFailedTestSuites) };
}

function playwrightCounts(file) {
	if (!existsSync(file)) return { passed: 0, failed: 1 };
	const { stats, errors } = JSON.parse(readFileSync(file, 'utf8'));
	return { passed: stats.expected, failed: stats.unexpected + stats.flaky + errors.length };
}

await main(async () => {
	ensurePackages();
	ensureChromium();
	const reports = mkdtempSync(join(tmpdir(), 'exetasis-test-'));
	const cluster = temporaryCluster();
	let server;
	let devices;
	const results = [];
	try {
		const { url } = await cluster.start();
		run('npm', ['run', 'check', '--silent'], {
			advice: 'Types, lint or dependency rules are broken: see above.'
		});
		const unit = join(reports, 'unit.json');
		await runAsync('npx', ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile=${unit}`], {
			env: { ...process.env, AUTH_SECRET: THROW_AWAY_SECRET, DATABASE_URL: url('postgres'), ORIGIN: 'http://localhost' }
		});
		results.push(vitestCounts(unit));

		buildWhereChanged();
		run('npx', ['tsx', 'scripts/database.ts', 'make', 'e2e'], {
			env: { ...process.env, DATABASE_URL: url('postgres') }
		});
		const demo = await prepareDemo(url('e2e'));
		devices = await startDevices('--fault', 'inlet:2:0.15', '--pull', '300');
		server = await serveBuilt({ ...demo, env: { ...demo.env, ...devices.env } });
		const browser = join(reports, 'browser.json');
		await runAsync('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts', ...process.argv.slice(2)], {
			env: { ...demo.env, E2E_ADDRESS: demo.address, E2E_REPORT: browser }
		});
		results.push(playwrightCounts(browser));
	} finally {
		await stopServer(server);
		devices?.stop();
		cluster.stop();
		cluster.remove();
		rmSync(reports, { recursive: true, force: true });
	}
	const sum = (of) => results.reduce((total, result) => total + result[of], 0);
	process.exitCode = sum('failed') > 0 || results.length < 2 ? 1 : 0;
	console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
});
