import { error, json } from '@sveltejs/kit';
import { placeBefore } from '@exetasis/server/pumps';
import { placeBeforeSchema } from '$lib/judge/placeBefore';
import { found, idFrom, scopeOf } from '$lib/server/request';

const MOST_CYLINDERS = 100;

/** The lives at one place of a job's pump. */
export async function GET({ locals, params }) {
	const cylinder = Number(params.cylinder);
	if (!Number.isInteger(cylinder) || cylinder < 0 || cylinder > MOST_CYLINDERS) error(404, 'There is no such page.');
	const lives = found(await placeBefore(scopeOf(locals), idFrom(params.job), { station: params.station, cylinder }));
	return json(placeBeforeSchema.parse(lives));
}
