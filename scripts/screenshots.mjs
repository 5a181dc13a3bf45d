// npm run screenshots: one picture of each main view, from the demo data, into docs/screenshots/.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { buildWhereChanged } from './lib/build.mjs';
import { startDevices } from './lib/devices.mjs';
import { ensureChromium, ensurePackages } from './lib/install.mjs';
import { temporaryCluster } from './lib/postgres.mjs';
import { main, root } from './lib/run.mjs';
import { prepareDemo, serveBuilt, stopServer } from './lib/server.mjs';

const folder = join(root, 'docs/screenshots');

async function take(address) {
	const browser = await chromium.launch({
		executablePath: '/usr/bin/chromium',
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
	});
	const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
	const shoot = async (name, fullPage = false) => {
		await page.waitForTimeout(400); // charts draw after their data are there
		await page.screenshot({ path: join(folder, `${name}.png`), fullPage });
	};
	const open = async (path, name) => {
		await page.goto(address + path);
		await shoot(name);
	};
	const jobOf = async (serial) => {
		await page.goto(address);
		const path = await page.getByRole('link', { name: serial }).first().getAttribute('href');
		return path.replace(/^(\/jobs\/[^/]+).*/, '$1');
	};
	const part = async (job, name, file) => {
		await page.goto(`${address}${job}/inspect`);
		await page.getByRole('button', { name }).click();
		await shoot(file);
	};

	await page.goto(`${address}/signin`);
	await page.getByLabel('E-mail').fill('mara@harrow.example');
	await page.getByLabel('Password').fill('harrow-sound');
	await page.getByRole('button', { name: 'Sign in' }).click();
	await page.getByRole('heading', { name: 'Floor' }).waitFor();
	await shoot('floor');
	await open('/receive', 'receive');
	const step = (number) =>
		page
			.getByRole('list', { name: 'Steps' })
			.getByRole('button')
			.nth(number - 1)
			.click();
	const waiting = await jobOf('MAR-0107');
	await page.goto(`${address}${waiting}/strip`);
	await step(9);
	await shoot('strip');
	const half = await jobOf('MAR-0256');
	await part(half, /^Ceramic plunger, cylinder 1/, 'inspect');
	await page.getByRole('button', { name: 'Full explanation' }).click();
	await page.getByText('Earlier parts at this place').waitFor();
	await shoot('part');
	await page.setViewportSize({ width: 800, height: 1280 });
	await page.goto(`${address}${await jobOf('THR-0031')}/inspect?place=sleeve/3`);
	await page.getByRole('button', { name: 'Clean', exact: true }).click();
	await page.getByRole('button', { name: 'Pad' }).click();
	await shoot('inspect-upright');
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await page.setViewportSize({ width: 1280, height: 800 });
	await page.goto(`${address}${half}/decide`);
	await page.getByText(/^Lowest cost per hour/).waitFor();
	await shoot('decide');
	await open(`${await jobOf('THR-0080')}/order`, 'order');
	const building = await jobOf('CAM-0054');
	await page.goto(`${address}${building}/build`);
	const places = page.getByRole('group', { name: 'Parts to fit' }).getByRole('button', { pressed: false });
	for (let i = 0; i < 4; i++) await places.first().click();
	await shoot('build');
	const tighten = page.getByRole('button', { name: /^Wrench clicked/ });
	while ((await tighten.count()) === 0) await places.first().click();
	await tighten.scrollIntoViewIfNeeded();
	await shoot('bolts');
	await page.goto(`${address}${await jobOf('HEA-0156')}/prove`);
	await page.getByRole('button', { name: 'Record from test rig' }).click();
	await page.getByRole('status').filter({ hasText: /^8\./ }).waitFor();
	await page.getByRole('button', { name: 'Stop and analyse' }).click();
	await page.getByRole('button', { name: 'Save result' }).scrollIntoViewIfNeeded();
	await shoot('prove');
	await open(`${half}/release`, 'release');
	await page.goto(`${address}/pumps`);
	const pump = await page.getByRole('link', { name: 'MAR-0212' }).getAttribute('href');
	await open(pump, 'pump');
	await page.goto(`${address}/trace`);
	// The likely causes come once the list stands.
	await page.getByRole('link', { name: '…' }).first().waitFor({ state: 'detached', timeout: 60_000 });
	await shoot('trace');
	await open(`/trace/pumps/${pump.split('/').at(-1)}`, 'trace-pump');
	await open('/trace/lives', 'lives');
	await page.goto(`${address}/trace/cases`);
	await open(await page.getByRole('link', { name: /^One-sided wear/ }).getAttribute('href'), 'case');
	await page.goto(`${address}/sheets`);
	await page.getByRole('link', { name: /^Marram/ }).click();
	await page.getByRole('button', { name: 'Edit (new revision)' }).click();
	await page.getByRole('button', { name: /^\d+\. Ceramic plunger/ }).click();
	await shoot('builder');
	await page.getByRole('button', { name: 'Switch to dark' }).click();
	await page.getByRole('button', { name: 'Switch to light' }).waitFor();
	await part(await jobOf('COM-0107'), /^Outlet valve seat, cylinder 1/, 'inspect-dark');
	await browser.close();
}

await main(async () => {
	ensurePackages();
	ensureChromium();
	buildWhereChanged();
	mkdirSync(folder, { recursive: true });
	const cluster = temporaryCluster();
	let server;
	let devices;
	try {
		const demo = await prepareDemo((await cluster.start()).url('postgres'));
		devices = await startDevices('--fault', 'inlet:2:0.12');
		server = await serveBuilt({ ...demo, env: { ...demo.env, ...devices.env } });
		await take(demo.address);
	} finally {
		await stopServer(server);
		devices?.stop();
		cluster.stop();
		cluster.remove();
	}
});
