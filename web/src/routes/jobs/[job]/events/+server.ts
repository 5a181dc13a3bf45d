import { subscribe } from '@exetasis/server/events';
import { benchOf } from '@exetasis/server/jobs/bench';
import { entriesOf } from '@exetasis/server/benchLog/entries';
import { found, idFrom, scopeOf } from '$lib/server/request';
import type { Entry } from '@exetasis/core/record';

const HEARTBEAT_MS = 20_000; // keeps proxies from closing a quiet stream, and finds out that a browser is gone

/**
 * Server-Sent Events of a job: every entry that is added, by whomever. On each (re)connection the whole log comes
 * first, so that nothing added while a tablet was away is missed; entries that are known already change nothing.
 */
export async function GET({ locals, params }) {
	const scope = scopeOf(locals);
	const jobId = idFrom(params.job);
	found(await benchOf(scope, jobId));
	let end = () => {};
	const body = new ReadableStream<Uint8Array>({
		async start(controller) {
			const encoder = new TextEncoder();
			const send = (text: string) => controller.enqueue(encoder.encode(text));
			const heartbeat = setInterval(() => send(': still here\n\n'), HEARTBEAT_MS);
			let stop = () => {};
			end = () => {
				clearInterval(heartbeat);
				stop();
			};
			const receive = (entries: Entry[]) => send(`data: ${JSON.stringify(entries)}\n\n`);
			const lost = () => {
				end();
				controller.close(); // the browser reconnects by itself and is given the whole log again
			};
			stop = await subscribe({ shopId: scope.shopId, jobId, receive, lost });
			receive(await entriesOf(scope, jobId));
		},
		cancel: () => end()
	});
	return new Response(body, { headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' } });
}
