import { error } from '@sveltejs/kit';
import { photoName } from '@exetasis/core/record';
import { keepPhoto, photoOf, type PhotoProblem } from '@exetasis/server/photos/photos';
import { found, idFrom, scopeOf, userOf } from '$lib/server/request';

const nameFrom = (param: string): string => found(photoName.safeParse(param).data);

const sentence: Readonly<Record<PhotoProblem, string>> = {
	notJpeg: 'This photograph is not a JPEG.',
	withMetadata: 'The photograph contains place or time data. Send it without them.',
	tooLarge: 'The photograph has too many pixels. Send a smaller one.',
	tooHeavy: 'The photograph is larger than 1 MB. Send a smaller one.',
	otherName: 'The photograph was damaged on the way. Send it again.',
	released: 'The job is released and closed for photographs.'
};

export async function GET({ locals, params }) {
	const jpeg = found(await photoOf(scopeOf(locals), idFrom(params.job), nameFrom(params.sha256)));
	return new Response(new Uint8Array(jpeg), {
		headers: { 'content-type': 'image/jpeg', 'content-security-policy': "default-src 'none'; sandbox" }
	});
}

/** Keeps the bytes of a photograph; the entry that speaks of it follows. See docs/formats.md. */
export async function POST({ locals, params, request }) {
	const bytes = new Uint8Array(await request.arrayBuffer());
	const name = nameFrom(params.sha256);
	const kept = found(await keepPhoto(scopeOf(locals), userOf(locals).id, idFrom(params.job), name, bytes));
	if (kept !== 'kept') error(422, sentence[kept]);
	return new Response(undefined, { status: 204 });
}
