import { redirect } from '@sveltejs/kit';
import { traceOfShop } from '@exetasis/server/trace/ofShop';
import { idFrom, scopeOf } from '$lib/server/request';

export async function load({ locals, url }) {
	const asked = url.searchParams.get('pump');
	if (asked) redirect(301, `/trace/pumps/${idFrom(asked)}`);
	return { trace: await traceOfShop(scopeOf(locals)) };
}
