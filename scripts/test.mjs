// npm test: unit and integration tests, then the browser tests against the built application; a throw-away database.
// With names of test files, only those: npm test -- core/src/quantity errand.spec
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

async function runUnits(DATABASE_URL, report) {
	const args = ['vitest', 'run', ...units, '--reporter=default', '--reporter=json', `--outputFile=${report}`];
	await runAsync('npx', args, {
		env: { ...process.env, AUTH_SECRET: THROW_AWAY_SECRET, DATABASE_URL, ORIGIN: 'http://localhost' }
	});
	return vitestCounts(report);
}

const files = process.argv.slice(2);
const isSpec = (file) => file.includes('.spec') || existsSync(join('e2e', `${file}.spec.ts`));
const specs = files.filter(isSpec);
const units = files.filter((file) => !isSpec(file));
const runs = {
	all: files.length === 0,
	unit: specs.length === 0 || units.length > 0,
	browser: units.length === 0 || specs.length > 0
};

await main(async () => {
	ensurePackages();
	if (runs.browser) ensureChromium();
	const reports = mkdtempSync(join(tmpdir(), 'exetasis-test-'));
	const cluster = temporaryCluster();
	let server;
	let devices;
	const results = [];
	try {
		const { url } = await cluster.start();
		if (runs.all)
			run('npm', ['run', 'check', '--silent'], {
				advice: 'Types, lint or dependency rules are broken: see above.'
			});
		if (runs.unit) results.push(await runUnits(url('postgres'), join(reports, 'unit.json')));
		if (!runs.browser) return;

		buildWhereChanged();
		run('npx', ['tsx', 'scripts/database.ts', 'make', 'e2e'], {
			env: { ...process.env, DATABASE_URL: url('postgres') }
		});
		const demo = await prepareDemo(url('e2e'));
		devices = await startDevices('--fault', 'inlet:2:0.15', '--pull', '300');
		server = await serveBuilt({ ...demo, env: { ...demo.env, ...devices.env } });
		const browser = join(reports, 'browser.json');
		// Tests that run by themselves wait for all others; where some are chosen, they take turns instead.
		const chosen = runs.all ? [] : [...specs, '--no-deps', '--workers=1'];
		await runAsync('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts', ...chosen], {
			env: { ...demo.env, E2E_ADDRESS: demo.address, E2E_REPORT: browser }
		});
		results.push(playwrightCounts(browser));
	} finally {
		await stopServer(server);
		devices?.stop();
		cluster.stop();
		cluster.remove();
		rmSync(reports, { recursive: true, force: true });
		const sum = (of) => results.reduce((total, result) => total + result[of], 0);
		const isWhole = results.length === Number(runs.unit) + Number(runs.browser);
		process.exitCode = sum('failed') > 0 || !isWhole ? 1 : 0;
		console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
	}
});
