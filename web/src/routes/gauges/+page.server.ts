import { gaugesOf } from '@exetasis/server/gauges';
import { scopeOf } from '$lib/server/request';

export const load = async ({ locals }) => ({ gauges: await gaugesOf(scopeOf(locals)) });
