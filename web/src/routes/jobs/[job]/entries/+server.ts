import { error, json } from '@sveltejs/kit';
import { batchSchema, MOST_ENTRIES } from '@exetasis/core/record';
import { append } from '@exetasis/server/benchLog/append';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

/** Takes a batch for the bench log; answers for each entry. See docs/formats.md. */
export async function POST({ locals, params, request }) {
	const parsed = batchSchema.safeParse(await request.json().catch(() => undefined));
	if (!parsed.success) error(400, `A batch is { by, entries } with at most ${MOST_ENTRIES} entries.`);
	const user = userOf(locals);
	// Someone else has signed in to this browser meanwhile: what the first one recorded waits for the first one.
	if (parsed.data.by !== user.id) error(401, 'These entries were recorded by another person.');
	const answers = found(await append(scopeOf(locals), user, idFrom(params.job), parsed.data.entries));
	return json({ answers, serverTime: Date.now() });
}
