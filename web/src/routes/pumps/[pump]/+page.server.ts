import { pumpHistory } from '@exetasis/server/pumps';
import { found, idFrom, scopeOf } from '$lib/server/request';

export const load = async ({ locals, params }) => found(await pumpHistory(scopeOf(locals), idFrom(params.pump)));
