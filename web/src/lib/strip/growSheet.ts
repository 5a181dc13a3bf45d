import { deserialize } from '$app/forms';

/** Sends a change of a job's provisional sheet; answers what is wrong, or nothing once the server has it. */
export async function growSheet(
	job: string,
	action: 'lay' | 'size',
	fields: Readonly<Record<string, string>>
): Promise<string | undefined> {
	const body = new FormData();
	for (const [name, value] of Object.entries(fields)) body.set(name, value);
	const answer = await fetch(`/jobs/${job}/strip?/${action}`, {
		method: 'POST',
		body,
		headers: { accept: 'application/json' }
	}).catch(() => undefined);
	if (!answer) return 'The server does not answer. What you entered is kept in this browser. Try again in a moment.';
	const told = deserialize(await answer.text());
	if (told.type === 'success') return undefined;
	return (
		(told.type === 'failure' && (told.data?.problem as string)) || 'This was not saved. Reload the page and try again.'
	);
}
