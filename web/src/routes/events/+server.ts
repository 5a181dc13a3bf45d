import { error } from '@sveltejs/kit';
import { whoIs } from '@exetasis/server/auth/auth';
import { entriesOf } from '@exetasis/server/benchLog/entries';
import { subscribe } from '@exetasis/server/events';
import { jobExists } from '@exetasis/server/jobs/job';
import { idFrom, scopeOf, userOf } from '$lib/server/request';
import type { Entry } from '@exetasis/core/record';

const HEARTBEAT_MS = 20_000; // keeps proxies from closing a quiet stream, and finds out that a browser is gone
const MOST_JOBS = 40; // tabs of one browser
const headers = { 'content-type': 'text/event-stream', 'cache-control': 'no-store' };

/**
 * Server-Sent Events of jobs, one stream for all tabs of a browser: every entry that is added, by whomever, and the server's
 * clock. On each (re)connection the whole log of each job comes first, so that nothing added while a tablet was away is missed;
 * entries that are known already change nothing. The stream ends with the session that opened it.
 */
export async function GET({ locals, url, request }) {
	const scope = scopeOf(locals);
	const user = userOf(locals);
	const asked = [...new Set(url.searchParams.getAll('job').map(idFrom))];
	if (asked.length > MOST_JOBS) error(400, `One stream can follow at most ${MOST_JOBS} jobs.`);
	const there = await Promise.all(asked.map((job) => jobExists(scope, job)));
	const jobs = asked.filter((_, i) => there[i]);
	if (jobs.length === 0) error(404, 'This page does not exist. Check the address, or go back to Floor.');
	const encoder = new TextEncoder();
	let ended = false;
	const unsubscribe: (() => void)[] = [];
	const heartbeat = setInterval(() => beat(), HEARTBEAT_MS);
	const end = () => {
		ended = true;
		clearInterval(heartbeat);
		for (const stop of unsubscribe) stop();
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
	const receive = (job: string, entries: Entry[]) => send(`data: ${JSON.stringify({ job, entries })}\n\n`);
	function beat(): void {
		clock();
		void whoIs(request.headers).then(
			(still) => still?.id !== user.id && close(),
			() => undefined
		);
	}
	try {
		for (const jobId of jobs) {
			const receiveOfJob = (entries: Entry[]) => receive(jobId, entries);
			const subscriber = { shopId: scope.shopId, userId: user.id, jobId, receive: receiveOfJob, lost: close };
			unsubscribe.push(await subscribe(subscriber));
		}
		clock();
		for (const jobId of jobs) receive(jobId, await entriesOf(scope, jobId));
	} catch (cause) {
		end();
		throw cause;
	}
	return new Response(body, { headers });
}
