import { pumpsOf } from '@exetasis/server/pumps';
import { scopeOf } from '$lib/server/request';

export const load = async ({ locals }) => ({ pumps: await pumpsOf(scopeOf(locals)) });
