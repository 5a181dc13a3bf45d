import { contrasts, contrastsOf } from '@exetasis/server/trace/contrasts';
import { scopeOf, textFrom } from '$lib/server/request';

export async function load({ locals, url }) {
	const by = contrasts.find((contrast) => contrast === textFrom(url, 'by')) ?? 'liquid';
	return { by, compared: await contrastsOf(scopeOf(locals), by) };
}
