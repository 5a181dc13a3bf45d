/** What the server answers with, but for the fields that have been changed since they were sent: those stay as they are now. */
export function mergeAnswer<T extends Record<string, unknown>>(answer: T, sent: T, now: T): T {
	const changed = Object.entries(now).filter(([name, value]) => JSON.stringify(value) !== JSON.stringify(sent[name]));
	return { ...answer, ...Object.fromEntries(changed) };
}
