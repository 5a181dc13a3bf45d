// The first Inspect and the report of a pump of 542 parts, and how long everyone else waits.
import { spawnSync } from 'node:child_process';
import { signedIn } from './load.mjs';
import { root } from '../lib/run.mjs';

const LOOK_MS = 10;

/** Makes such a job in the demo’s database and asks for its pages; prints what each takes. */
export async function measureLarge({ address, env }) {
	const made = spawnSync('npx', ['tsx', 'scripts/bench/largeJob.ts'], { cwd: root, env, encoding: 'utf8' });
	if (made.status !== 0) throw new Error(made.stderr);
	const { job, parts } = JSON.parse(made.stdout);
	const headers = await signedIn(address, 'mara@harrow.example');
	let longest = 0;
	let done = false;
	const others = (async () => {
		while (!done) {
			const started = performance.now();
			await fetch(`${address}/healthz`);
			longest = Math.max(longest, performance.now() - started);
			await new Promise((next) => setTimeout(next, LOOK_MS));
		}
	})();
	for (const [what, path, budget] of [
		['first Inspect', 'inspect', ' (at most 3,000)'],
		['report for the shop', 'report', '']
	]) {
		longest = 0;
		const started = performance.now();
		const answer = await fetch(`${address}/jobs/${job}/${path}`, { headers });
		await answer.arrayBuffer();
		const took = performance.now() - started;
		console.log(
			`${parts} parts, ${what}: ${took.toFixed(0)} ms${budget}, status ${answer.status}; others waited up to ${longest.toFixed(0)} ms`
		);
	}
	done = true;
	await others;
}
