/** Resolves when the web server on this port answers that it is ready; throws where its process ends first. */
export async function untilReady(port, server) {
	while (server.exitCode === null) {
		try {
			if ((await fetch(`http://127.0.0.1:${port}/healthz`)).ok) return;
		} catch {
			// not listening yet
		}
		await new Promise((done) => setTimeout(done, 100));
	}
	throw new Error('The web server did not start; its message stands above.');
}
