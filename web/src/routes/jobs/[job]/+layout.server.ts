import { benchOf } from '@exetasis/server/jobs/bench';
import { found, idFrom, scopeOf } from '$lib/server/request';

export const load = async ({ locals, params }) => ({
	bench: found(await benchOf(scopeOf(locals), idFrom(params.job)))
});
