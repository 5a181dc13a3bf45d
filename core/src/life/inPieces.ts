/** Runs work that is done in pieces without a pause. */
export function toTheEnd<T>(pieces: Generator<void, T>): T {
	for (;;) {
		const { done, value } = pieces.next();
		if (done) return value;
	}
}
