import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { saveDraft } from '@exetasis/server/drafts';
import { idFrom, scopeOf, userOf } from '$lib/server/request';

const sentSchema = z.object({ version: z.int().min(1).max(2_000_000_000), body: z.unknown() });

/** Saves a draft that was changed from a version of it; answers the new version, or what another person saved meanwhile. */
export async function POST({ locals, params, request }) {
	const sent = sentSchema.safeParse(await request.json().catch(() => undefined));
	if (!sent.success) error(400, 'A draft is sent as { version, body }.');
	const { version, body } = sent.data;
	const answer = await saveDraft(scopeOf(locals), userOf(locals), idFrom(params.draft), version, body);
	if (answer.kind === 'gone') error(404, 'Your shop no longer has this draft. It is kept in this browser.');
	return json(answer);
}
