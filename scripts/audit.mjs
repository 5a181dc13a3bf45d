// Known weaknesses of the packages that the lock file pins for running the application, where the registry answers.
import { spawnSync } from 'node:child_process';
import { Advice, main, root } from './lib/run.mjs';

const TOLD_APART = ['high', 'critical'];

await main(async () => {
	const asked = spawnSync('npm', ['audit', '--package-lock-only', '--omit=dev', '--json'], {
		cwd: root,
		encoding: 'utf8',
		timeout: 60_000
	});
	const answer = parsed(asked.stdout);
	const counts = answer?.metadata?.vulnerabilities;
	if (!counts) return console.log('Dependencies not audited: the registry does not answer audits here.');
	const bad = TOLD_APART.reduce((sum, level) => sum + (counts[level] ?? 0), 0);
	console.log(`Dependencies audited: ${bad} of high or critical weight, ${counts.total} in all.`);
	if (bad > 0) throw new Advice('Packages with known weaknesses: "npm audit --omit=dev" names them.');
});

function parsed(text) {
	try {
		return JSON.parse(text);
	} catch {
		return undefined;
	}
}
