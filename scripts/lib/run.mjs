// Small helpers to run programs, and the one error that is shown without a stack trace.
import { spawn, spawnSync } from 'node:child_process';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the checkout. */
export const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');

/** Something the person at the terminal has to put right: printed as one sentence, no stack trace. */
export class Advice extends Error {}

/** Runs a program to its end with its output on this terminal; throws Advice where it fails. */
export function run(command, args, { advice, ...options } = {}) {
	const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
	if (result.status === 0) return;
	const what = `${command} ${args.join(' ')}`;
	throw new Advice(advice ?? `"${what}" failed (${result.error?.message ?? `exit code ${result.status}`}).`);
}

/** Runs a program and resolves with its exit code; the caller sees its output. */
export function runAsync(command, args, options = {}) {
	return new Promise((done, fail) => {
		const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options });
		child.on('error', fail);
		child.on('exit', (code) => done(code ?? 1));
	});
}

/** True where a process with this number is alive (also one of another user). */
export function isAlive(pid) {
	try {
		process.kill(pid, 0);
		return true;
	} catch (error) {
		return error.code === 'EPERM';
	}
}

// What the file system refuses, as what to do about it.
function ofTheFolder({ code, path }) {
	switch (code) {
		case 'EACCES':
		case 'EPERM':
		case 'EROFS':
			return `\n${path} may not be written: give this user the right to, or start from a copy that may be written.`;
		case 'ENOSPC':
			return `\nThe disk is full (${path}): make room and start again.`;
		default:
			return undefined;
	}
}

/** Runs a script's main function: Advice is printed as one sentence, anything else with its stack. */
export async function main(task) {
	try {
		await task();
	} catch (error) {
		console.error(error instanceof Advice ? `\n${error.message}` : (ofTheFolder(error) ?? error));
		process.exitCode = 1;
	}
}
