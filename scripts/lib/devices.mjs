// The simulated rig and torque wrench beside a server of ours: on free ports, which the server is told.
import { spawn } from 'node:child_process';
import { freePort } from './postgres.mjs';
import { root } from './run.mjs';

/** Starts the devices; answers with the environment that tells a server where they are, and how to stop them. */
export async function startDevices(...asked) {
	const [rig, wrench] = [await freePort(), await freePort()];
	const ports = ['--rig', String(rig), '--wrench', String(wrench)];
	const devices = spawn('npx', ['tsx', 'devices/src/main.ts', ...ports, ...asked], {
		cwd: root,
		stdio: ['ignore', 'ignore', 'inherit'],
		detached: true
	});
	const stop = () => {
		try {
			process.kill(-devices.pid, 'SIGTERM');
		} catch {
			// gone already
		}
	};
	return { env: { RIG_AT: `127.0.0.1:${rig}`, WRENCH_AT: `127.0.0.1:${wrench}` }, stop };
}
