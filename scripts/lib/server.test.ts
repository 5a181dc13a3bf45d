import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { describe, expect, it, vi } from 'vitest';
import { stopServer, untilReady } from './server.mjs';

/** A process that does this with the signal that asks it to end. */
async function running(onSignal: string): Promise<ChildProcess> {
	const program = `process.on('SIGTERM', () => { ${onSignal} }); setInterval(() => {}, 1000); console.log('on');`;
	const child = spawn(process.execPath, ['-e', program], { stdio: ['ignore', 'pipe', 'ignore'] });
	await once(child.stdout!, 'data');
	return child;
}

describe('a server that is to stop', () => {
	it('is waited for', async () => {
		const server = await running('setTimeout(() => process.exit(0), 300)');
		await stopServer(server);
		expect(server.exitCode).toBe(0);
	});
	it('is killed where it does not end in time, and that is said', async () => {
		const said = vi.spyOn(console, 'error').mockReturnValue();
		const server = await running('');
		await stopServer(server);
		expect(server.signalCode).toBe('SIGKILL');
		expect(said).toHaveBeenCalledWith(expect.stringContaining('did not end'));
		said.mockRestore();
	}, 20_000);
	it('may have ended already, or never have been started', async () => {
		const server = await running('process.exit(3)');
		server.kill('SIGTERM');
		await once(server, 'exit');
		await stopServer(server);
		await stopServer(undefined);
		expect(server.exitCode).toBe(3);
	});
	it('that ends before it is ready is said, not waited for', async () => {
		const server = spawn(process.execPath, ['-e', 'process.exit(1)'], { stdio: 'ignore' });
		await expect(untilReady(1, server)).rejects.toThrow('did not start');
	});
});
