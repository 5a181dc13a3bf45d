import { json } from '@sveltejs/kit';
import { pumpsOf } from '@exetasis/server/pumps';
import { scopeOf, textFrom } from '$lib/server/request';

const MOST_FOUND = 20;

/** Pumps by a part of their serial number, name, site or model; `rebuilds`: of so many at least. */
export async function GET({ locals, url }) {
	const rebuilds = Number(url.searchParams.get('rebuilds'));
	const asked = Number.isInteger(rebuilds) && rebuilds > 0 && rebuilds < 1000 ? rebuilds : 0;
	const { pumps } = await pumpsOf(scopeOf(locals), { like: textFrom(url, 'find'), rebuilds: asked, limit: MOST_FOUND });
	return json(pumps);
}
