import { shimsOf } from '@exetasis/server/stock';
import { scopeOf } from '$lib/server/request';

export const load = async ({ locals }) => ({ shims: await shimsOf(scopeOf(locals)) });
