import { error, json } from '@sveltejs/kit';
import { setPreferences } from '@exetasis/server/people';
import { userOf } from '$lib/server/request';
import { wrenchKey, wrenchSchema } from '$lib/strip/wrenches';

const MOST_KEPT = 400;

/** Keeps the size of one's own wrench for a tool of a model; an empty one is forgotten. */
export async function POST({ request, locals }) {
	const typed = wrenchSchema.safeParse(await request.json().catch(() => undefined));
	if (!typed.success) error(422, 'A size has at most 40 characters.');
	const user = userOf(locals);
	const { [wrenchKey(typed.data)]: _before, ...others } = user.preferences.wrenches ?? {};
	if (Object.keys(others).length >= MOST_KEPT) error(422, 'Too many sizes. Clear some that you no longer need.');
	const { size } = typed.data;
	await setPreferences(user, { wrenches: size === '' ? others : { ...others, [wrenchKey(typed.data)]: size } });
	return json({});
}
