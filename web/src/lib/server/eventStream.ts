const headers = { 'content-type': 'text/event-stream', 'cache-control': 'no-store' };

/** Server-Sent Events of whatever a source yields, until it ends, so many milliseconds have passed, or the browser is gone. */
export function eventStream(source: (signal: AbortSignal) => AsyncIterable<unknown>, mostMs: number): Response {
	const ending = new AbortController();
	const encoder = new TextEncoder();
	const timer = setTimeout(() => ending.abort(), mostMs);
	const stop = () => {
		clearTimeout(timer);
		ending.abort();
	};
	const body = new ReadableStream<Uint8Array>({
		async start(controller) {
			for await (const event of source(ending.signal)) {
				if (ending.signal.aborted) break;
				controller.enqueue(encoder.encode(`data: ${JSON.stringify(event)}\n\n`));
			}
			clearTimeout(timer);
			if (!ending.signal.aborted) controller.close();
		},
		cancel: stop
	});
	return new Response(body, { headers });
}
