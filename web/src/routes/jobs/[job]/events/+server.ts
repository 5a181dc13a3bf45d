import { entriesOf } from '@exetasis/server/benchLog/entries';
import { subscribe } from '@exetasis/server/events';
import { jobExists } from '@exetasis/server/jobs/bench';
import { whoIs } from '@exetasis/server/auth/auth';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';
import type { Entry } from '@exetasis/core/record';

const HEARTBEAT_MS = 20_000; // keeps proxies from closing a quiet stream, and finds out that a browser is gone
const headers = { 'content-type': 'text/event-stream', 'cache-control': 'no-store' };

export async function HEAD({ locals, params }) {
	found(await jobExists(scopeOf(locals), idFrom(params.job)));
	return new Response(null, { headers });
}

/**
 * Server-Sent Events of a job: every entry that is added, by whomever, and the server's clock. On each (re)connection the
 * whole log comes first, so that nothing added while a tablet was away is missed; entries that are known already change
 * nothing. The stream ends with the session that opened it.
 */
export async function GET({ locals, params, request }) {
	const scope = scopeOf(locals);
	const user = userOf(locals);
	const jobId = idFrom(params.job);
	found(await jobExists(scope, jobId));
	const encoder = new TextEncoder();
	let ended = false;
	let unsubscribe = () => {};
	const heartbeat = setInterval(() => beat(), HEARTBEAT_MS);
	const end = () => {
		ended = true;
		clearInterval(heartbeat);
		unsubscribe();
	};
	let controller!: ReadableStreamDefaultController<Uint8Array>;
	const body = new ReadableStream<Uint8Array>({ start: (its) => void (controller = its), cancel: end });
	const send = (text: string) => {
		if (!ended) controller.enqueue(encoder.encode(text));
	};
	// The browser connects again by itself and is given the whole log, or told that it is signed out.
	const close = () => {
		if (ended) return;
		end();
		controller.close();
	};
	const clock = () => send(`event: clock\ndata: ${Date.now()}\n\n`);
	const receive = (entries: Entry[]) => send(`data: ${JSON.stringify(entries)}\n\n`);
	function beat(): void {
		clock();
		void whoIs(request.headers).then(
			(still) => still?.id !== user.id && close(),
			() => undefined
		);
	}
	try {
		unsubscribe = await subscribe({ shopId: scope.shopId, userId: user.id, jobId, receive, lost: close });
		clock();
		receive(await entriesOf(scope, jobId));
	} catch (cause) {
		end();
		throw cause;
	}
	return new Response(body, { headers });
}
