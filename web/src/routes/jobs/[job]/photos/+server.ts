import { json } from '@sveltejs/kit';
import { photosBeside } from '@exetasis/server/photos/photos';
import { photosToCompareSchema } from '$lib/log/photosToCompare';
import { found, idFrom, placeFrom, scopeOf } from '$lib/server/request';

/** Photographs of other jobs beside which the part at this place can be laid. */
export async function GET({ locals, params, url }) {
	const place = placeFrom(url.searchParams.get('station'), url.searchParams.get('cylinder'));
	const photos = found(await photosBeside(scopeOf(locals), idFrom(params.job), place));
	return json(photosToCompareSchema.parse(photos));
}
