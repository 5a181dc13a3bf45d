import { json } from '@sveltejs/kit';
import { placeBefore } from '@exetasis/server/pumps';
import { placeBeforeSchema } from '$lib/judge/placeBefore';
import { found, idFrom, placeFrom, scopeOf } from '$lib/server/request';

/** The lives at one place of a job's pump. */
export async function GET({ locals, params }) {
	const place = placeFrom(params.station, params.cylinder);
	const lives = found(await placeBefore(scopeOf(locals), idFrom(params.job), place));
	return json(placeBeforeSchema.parse(lives));
}
