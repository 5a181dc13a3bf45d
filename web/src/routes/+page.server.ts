import { floorOf } from '@exetasis/server/jobs/floor';
import { scopeOf } from '$lib/server/request';

export const load = ({ locals }) => floorOf(scopeOf(locals));
