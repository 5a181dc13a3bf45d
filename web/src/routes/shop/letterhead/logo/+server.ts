import { letterheadOf } from '@exetasis/server/letterhead';
import { found, scopeOf } from '$lib/server/request';

/** The shop's logo as its reports show it. */
export async function GET({ locals }) {
	const logo = found((await letterheadOf(scopeOf(locals))).logo ?? undefined);
	return new Response(new Uint8Array(logo), { headers: { 'content-type': 'image/png' } });
}
