import { floorOf, lastReleased } from '@exetasis/server/jobs/floor';
import { scopeOf } from '$lib/server/request';
import { alarmsOf } from '@exetasis/server/trace';

export async function load({ locals }) {
	const scope = scopeOf(locals);
	const jobs = await floorOf(scope);
	const recurring = await alarmsOf(
		scope,
		jobs.map(({ pumpId }) => pumpId)
	);
	return { jobs, recurring, released: await lastReleased(scope) };
}
