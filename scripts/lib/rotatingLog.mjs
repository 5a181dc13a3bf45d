// A log file that is put aside at a size, a few of which are kept.
import { closeSync, existsSync, fstatSync, mkdirSync, openSync, renameSync, writeSync } from 'node:fs';
import { dirname } from 'node:path';

const MOST_BYTES = 5_000_000;
const KEPT = 5;

/** Opens the log; write() adds to it, and puts it aside as `<path>.1` (older ones as `.2` and so on) where it is full. */
export function rotatingLog(path) {
	mkdirSync(dirname(path), { recursive: true, mode: 0o700 });
	const open = () => openSync(path, 'a', 0o600);
	let file = open();
	let size = fstatSync(file).size;
	function putAside() {
		closeSync(file);
		for (let n = KEPT - 1; n >= 1; n--) if (existsSync(`${path}.${n}`)) renameSync(`${path}.${n}`, `${path}.${n + 1}`);
		renameSync(path, `${path}.1`);
		file = open();
		size = 0;
	}
	return {
		write(chunk) {
			size += writeSync(file, chunk);
			if (size > MOST_BYTES) putAside();
		}
	};
}
