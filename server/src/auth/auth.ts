import { hash, verify } from '@node-rs/argon2';
import { betterAuth } from 'better-auth/minimal';
import { roles, type Role } from '../access';
import { database, type Database } from '../db/connection';
import type { Preferences } from '../db/models';
import { sequelizeAdapter } from './adapter';

/** Argon2id with the parameters that OWASP's password storage guide names first (19 MiB, 2 passes, 1 lane). */
export const hashPassword = (password: string): Promise<string> =>
	hash(password, { memoryCost: 19_456, timeCost: 2, parallelism: 1 });

const SIGN_IN_ATTEMPTS = { window: 60, max: 20 }; // per address: a whole shop signs in from one, a program guesses

function createAuth(db: Database) {
	const secret = process.env.AUTH_SECRET;
	if (!secret) throw new Error('AUTH_SECRET is not set: start Exetasis with "npm start".');
	return betterAuth({
		secret,
		baseURL: process.env.ORIGIN,
		telemetry: { enabled: false },
		database: sequelizeAdapter(db),
		emailAndPassword: {
			enabled: true,
			disableSignUp: true,
			password: { hash: hashPassword, verify: ({ hash: stored, password }) => verify(stored, password) }
		},
		user: {
			additionalFields: {
				shopId: { type: 'string', required: true, input: false },
				role: { type: [...roles], required: true, input: false },
				preferences: { type: 'json', required: true, input: false }
			}
		},
		session: { expiresIn: 60 * 60 * 24 * 7, updateAge: 60 * 60 * 24 },
		rateLimit: {
			enabled: true,
			storage: 'database',
			window: 60,
			max: 300,
			customRules: { '/sign-in/email': SIGN_IN_ATTEMPTS }
		},
		advanced: {
			cookiePrefix: 'exetasis',
			ipAddress: { ipAddressHeaders: ['x-client-address'] },
			defaultCookieAttributes: { sameSite: 'lax', httpOnly: true }
		}
	});
}

let shared: ReturnType<typeof createAuth> | undefined;
const auth = () => (shared ??= createAuth(database()));

/** The person behind a request. */
export interface SignedIn {
	readonly id: string;
	readonly name: string;
	readonly role: Role;
	readonly shopId: string;
	readonly preferences: Preferences;
}

/** Who is signed in by these cookies, or undefined. */
export async function whoIs(headers: Headers): Promise<SignedIn | undefined> {
	const session = await auth().api.getSession({ headers });
	if (!session) return undefined;
	const { id, name, role, shopId, preferences } = session.user;
	return { id, name, role: role as Role, shopId, preferences: (preferences ?? {}) as Preferences };
}

export type SignInResult =
	{ kind: 'signedIn'; headers: Headers } | { kind: 'refused' } | { kind: 'tooMany'; seconds: number };

/** Signs in by e-mail and password; goes through the library's router so that its rate limit counts. */
export async function signIn(
	credentials: { email: string; password: string },
	origin: string,
	address: string
): Promise<SignInResult> {
	const response = await auth().handler(
		new Request(`${origin}/api/auth/sign-in/email`, {
			method: 'POST',
			headers: { 'content-type': 'application/json', origin, 'x-client-address': address },
			body: JSON.stringify(credentials)
		})
	);
	if (response.status === 429) return { kind: 'tooMany', seconds: Number(response.headers.get('x-retry-after')) || 60 };
	return response.ok ? { kind: 'signedIn', headers: response.headers } : { kind: 'refused' };
}

/** Ends the session of these cookies; the answer's headers clear them. */
export async function signOut(headers: Headers): Promise<Headers> {
	const response = await auth().api.signOut({ headers, asResponse: true });
	return response.headers;
}
