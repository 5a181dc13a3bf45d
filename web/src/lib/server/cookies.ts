import type { Cookies } from '@sveltejs/kit';
import { parseSetCookieHeader, toCookieOptions } from 'better-auth/cookies';

/** Hands the sign-in library's cookies on to the browser. */
export function passCookies(headers: Headers, cookies: Cookies): void {
	const header = headers.getSetCookie().join(', ');
	if (!header) return;
	for (const [name, attributes] of parseSetCookieHeader(header)) {
		cookies.set(name, attributes.value, {
			...toCookieOptions(attributes),
			path: attributes.path || '/',
			httpOnly: true
		});
	}
}
