// One start at a time: the file that says who runs here.
import { existsSync, linkSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { isAlive } from './run.mjs';

// Whether this process is alive and still what the lock says: after a reboot its number may be someone else's.
export function isOurs(pid, program) {
	return (
		isAlive(pid) && existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(program)
	);
}

/** Writes a file so that no one ever sees half of it. */
export function writeWhole(path, text) {
	const part = `${path}.${process.pid}`;
	writeFileSync(part, text, { mode: 0o600 });
	renameSync(part, path);
}

/**
 * Takes the lock for this process, or answers with what the start that holds it says of itself ({ pid, address? }).
 * A lock whose holder is gone, or that says nothing, is taken over: `left` is what it said.
 */
export function takeLock(path, program) {
	for (;;) {
		if (placed(path)) return { taken: true, left: {} };
		const said = read(path);
		if (said.pid && isOurs(said.pid, program)) return { taken: false, holder: said };
		// Someone else may be taking it over in this moment: whoever moves it away has it.
		const mine = `${path}.stale-${process.pid}`;
		try {
			renameSync(path, mine);
			rmSync(mine);
		} catch (error) {
			if (error.code !== 'ENOENT') throw error;
		}
		if (placed(path)) return { taken: true, left: said };
	}
}

// Whole at once: another start never reads half of it.
function placed(path) {
	const part = `${path}.${process.pid}`;
	writeFileSync(part, JSON.stringify({ pid: process.pid }), { mode: 0o600 });
	try {
		linkSync(part, path);
		return true;
	} catch (error) {
		if (error.code !== 'EEXIST') throw error;
		return false;
	} finally {
		rmSync(part);
	}
}

function read(path) {
	try {
		return JSON.parse(readFileSync(path, 'utf8'));
	} catch {
		return {};
	}
}
