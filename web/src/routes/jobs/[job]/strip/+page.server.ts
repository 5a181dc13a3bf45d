import { userOf } from '$lib/server/request';

export const load = ({ locals }) => ({ wrenches: userOf(locals).preferences.wrenches ?? {} });
