import { floorOf, lastReleased } from '$lib/server/jobs';
import { scopeOf } from '$lib/server/request';

export async function load({ locals }) {
	const scope = scopeOf(locals);
	return { jobs: await floorOf(scope), released: await lastReleased(scope) };
}
