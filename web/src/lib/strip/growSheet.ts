import { deserialize } from '$app/forms';

/** Whether the server has taken a change, with the keys of the parts that it added; or that it does not answer, or why not. */
export type Grown =
	| { readonly kind: 'grown'; readonly stations: readonly string[] }
	| { readonly kind: 'unanswered' }
	| { readonly kind: 'refused'; readonly why: string };

/** Sends a change of a job's provisional sheet. */
export async function growSheet(
	job: string,
	action: 'lay' | 'size',
	fields: Readonly<Record<string, string>>
): Promise<Grown> {
	const body = new FormData();
	for (const [name, value] of Object.entries(fields)) body.set(name, value);
	const answer = await fetch(`/jobs/${job}/strip?/${action}`, {
		method: 'POST',
		body,
		headers: { accept: 'application/json' }
	}).catch(() => undefined);
	if (!answer || answer.status >= 502) return { kind: 'unanswered' };
	const told = deserialize(await answer.text());
	if (told.type === 'success') return { kind: 'grown', stations: (told.data?.stations as string[] | undefined) ?? [] };
	const why = told.type === 'failure' && (told.data?.problem as string);
	return { kind: 'refused', why: why || 'This was not saved. Reload the page and try again.' };
}
