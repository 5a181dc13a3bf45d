import { floorOf, lastReleased } from '$lib/server/jobs';
import { scopeOf } from '$lib/server/request';
import { alarmsOf } from '$lib/server/trace';

export async function load({ locals }) {
	const scope = scopeOf(locals);
	const jobs = await floorOf(scope);
	const recurring = await alarmsOf(
		scope,
		jobs.map(({ pumpId }) => pumpId)
	);
	return { jobs, recurring, released: await lastReleased(scope) };
}
