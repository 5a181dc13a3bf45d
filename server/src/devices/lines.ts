import { connect } from 'node:net';

/** Why a device's connection came to its end. */
export type DeviceEnd = 'notSet' | 'refused' | 'silent' | 'closed' | 'notTheDevice';

/** A device that sends nothing for so long is silent. */
const SILENT_MS = 4000;
const LONGEST_LINE = 1_000_000;

/**
 * Lines of JSON from a device on the network, until `signal` ends it. What is no JSON comes as undefined, so that it can be
 * counted. `at` is HOST:PORT; `say` is sent once the connection stands. Answers with why it ended.
 */
export async function* linesFrom(
	at: string | undefined,
	signal: AbortSignal,
	say?: object
): AsyncGenerator<unknown, DeviceEnd> {
	const [, host, port] = /^(.+):(\d{1,5})$/.exec(at ?? '') ?? [];
	if (!host) return 'notSet';
	const socket = connect({ host, port: Number(port), signal });
	socket.setTimeout(SILENT_MS);
	let end: DeviceEnd = 'refused';
	socket.once('connect', () => {
		end = 'closed';
		if (say) socket.write(`${JSON.stringify(say)}\n`);
	});
	socket.once('timeout', () => {
		end = 'silent';
		socket.destroy();
	});
	let rest = '';
	try {
		for await (const data of socket as AsyncIterable<Buffer>) {
			const lines = (rest + data.toString()).split('\n');
			rest = lines.pop()!;
			if (rest.length > LONGEST_LINE) return 'notTheDevice';
			for (const line of lines) yield parsed(line);
		}
	} catch {
		return end; // how it ended says it
	} finally {
		socket.destroy();
	}
	return end;
}

function parsed(line: string): unknown {
	try {
		return JSON.parse(line);
	} catch {
		return undefined;
	}
}
