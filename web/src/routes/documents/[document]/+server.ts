import { documentById } from '@exetasis/server/documents/documents';
import { found, idFrom, scopeOf } from '$lib/server/request';

/** A document as it was attached. It is shown by itself, and may do nothing but be shown. */
export async function GET({ locals, params }) {
	const { bytes, type } = found(await documentById(scopeOf(locals), idFrom(params.document)));
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': type,
			'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox"
		}
	});
}
