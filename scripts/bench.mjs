// npm run bench: speed against the budgets of docs/architecture.md, as ratios in one run or in milliseconds.
import { spawnSync } from 'node:child_process';
import { measureLarge } from './bench/large.mjs';
import { measureLoad } from './bench/load.mjs';
import { measurePage } from './bench/page.mjs';
import { buildWhereChanged } from './lib/build.mjs';
import { ensureChromium, ensurePackages } from './lib/install.mjs';
import { temporaryCluster } from './lib/postgres.mjs';
import { main, run } from './lib/run.mjs';
import { prepareDemo, serveBuilt, stopServer } from './lib/server.mjs';

// Holds these processes, and what they start, to one processor while it measures, and says so where the machine cannot.
async function onOneCore(pids, work) {
	const hold = (cores) =>
		pids.every((pid) => spawnSync('taskset', ['-acp', cores, String(pid)], { stdio: 'ignore' }).status === 0);
	if (!hold('0')) return console.log('One core: not measured, "taskset" is missing here.');
	try {
		await work();
	} finally {
		hold('0-1');
	}
}

await main(async () => {
	ensurePackages();
	ensureChromium();
	buildWhereChanged();
	run('npx', ['tsx', 'scripts/bench/core.ts']);
	run('npx', ['tsx', 'scripts/bench/builder.ts']);
	run('npx', ['tsx', 'scripts/bench/withR.ts']);
	run('npx', ['tsx', 'scripts/bench/fleet.ts']);
	const cluster = temporaryCluster();
	let server;
	try {
		const demo = await prepareDemo((await cluster.start()).url('postgres'));
		run('npx', ['tsx', 'scripts/bench/capture.ts'], { env: demo.env });
		const started = performance.now();
		server = await serveBuilt(demo);
		console.log(`web server ready in ${(performance.now() - started).toFixed(0)} ms`);
		await measurePage(demo.address);
		await measureLoad(demo.address, 2);
		await measureLarge(demo);
		await onOneCore([server.pid, cluster.pid()], () => measureLoad(demo.address, 1));
		const { url } = await cluster.start();
		for (const rebuilds of [100, 1000, 10_000]) {
			const name = `volume_${rebuilds}`;
			run('npx', ['tsx', 'scripts/database.ts', 'make', name], { env: demo.env });
			run('npx', ['tsx', 'scripts/bench/volume.ts', String(rebuilds)], {
				env: { ...demo.env, DATABASE_URL: url(name) }
			});
		}
	} finally {
		await stopServer(server);
		cluster.stop();
		cluster.remove();
	}
});
