import { json } from '@sveltejs/kit';
import { partAges } from '@exetasis/server/partAges';
import { found, idFrom, scopeOf } from '$lib/server/request';

/** How long the parts of a pump have run, cylinder by cylinder. */
export const GET = async ({ locals, params }) => json(found(await partAges(scopeOf(locals), idFrom(params.pump))));
