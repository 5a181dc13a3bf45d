import { redirect } from '@sveltejs/kit';
import { traceOfShop } from '@exetasis/server/trace/ofShop';
import { sharedReads } from '@exetasis/server/background/sharedReads';
import { idFrom, readerOf, scopeOf } from '$lib/server/request';

export async function load({ locals, url }) {
	const asked = url.searchParams.get('pump');
	if (asked) redirect(301, `/trace/pumps/${idFrom(asked)}`);
	return { trace: await sharedReads.read(readerOf(locals), 'trace', () => traceOfShop(scopeOf(locals))) };
}
