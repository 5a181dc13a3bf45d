import { createHmac, timingSafeEqual } from 'node:crypto';
import type { Database } from '../db/connection';
import type { Role } from '../access';
import type { Preferences } from '../db/tables';

/** A session lasts a week from its last renewal; used, it is renewed once a day. Seconds. */
export const SESSION = { expiresIn: 60 * 60 * 24 * 7, updateAge: 60 * 60 * 24 } as const;
export const COOKIE_PREFIX = 'exetasis';

/** A session that lasts on, with its person. */
interface Session {
	readonly expiresAt: Date;
	readonly user: {
		readonly id: string;
		readonly name: string;
		readonly role: Role;
		readonly shopId: string;
		readonly active: boolean;
		readonly preferences: Preferences | null;
		readonly firstPassword: boolean;
	};
}

const COOKIE = new RegExp(`(?:^|;\\s*)(?:__Secure-)?${COOKIE_PREFIX}\\.session_token=([^;]+)`);

// The sign-in library writes "token.signature": HMAC-SHA-256 of the token, in base64.
function signedToken(headers: Headers, secret: string): string | undefined {
	const value = COOKIE.exec(headers.get('cookie') ?? '')?.[1];
	if (!value) return undefined;
	let decoded: string;
	try {
		decoded = decodeURIComponent(value);
	} catch {
		return undefined; // not written by us
	}
	const dot = decoded.lastIndexOf('.');
	if (dot < 1) return undefined;
	const token = decoded.slice(0, dot);
	const stated = Buffer.from(decoded.slice(dot + 1), 'base64');
	const signature = createHmac('sha256', secret).update(token).digest();
	return stated.length === signature.length && timingSafeEqual(stated, signature) ? token : undefined;
}

const PERSON = ['id', 'name', 'role', 'shopId', 'active', 'preferences', 'firstPassword'];

/**
 * The session of these cookies, in one statement: every request asks for it, and the sign-in library takes two statements and
 * nearly three times the processor time. Undefined where the cookie is not signed by this server or the session has ended.
 */
export async function sessionOf({ models }: Database, headers: Headers, secret: string): Promise<Session | undefined> {
	const token = signedToken(headers, secret);
	if (!token) return undefined;
	const found = await models.session.findOne({
		where: { token },
		attributes: ['expiresAt'],
		include: [{ association: 'user', attributes: PERSON, required: true }],
		raw: true,
		nest: true
	});
	return (found as unknown as Session | null) ?? undefined;
}

/** Whether the sign-in library has to be asked: it renews sessions and removes those that have expired. */
export const isDue = ({ expiresAt }: Session, now = Date.now()): boolean =>
	expiresAt.getTime() - now < (SESSION.expiresIn - SESSION.updateAge) * 1000;
