import { hash, verify } from '@node-rs/argon2';
import { betterAuth } from 'better-auth/minimal';
import { roles, type Role } from '../access';
import { database, type Database } from '../db/connection';
import type { Preferences } from '../db/tables';
import { endStreamsOf } from '../events';
import { sequelizeAdapter } from './adapter';
import { countWrong, forgive, waitBefore } from './attempts';
import { COOKIE_PREFIX, isDue, SESSION, sessionOf } from './session';

/** Argon2id with the parameters that OWASP's password storage guide names first (19 MiB, 2 passes, 1 lane). */
export const hashPassword = (password: string): Promise<string> =>
	hash(password, { memoryCost: 19_456, timeCost: 2, parallelism: 1 });

function secret(): string {
	const { AUTH_SECRET } = process.env;
	if (!AUTH_SECRET) throw new Error('AUTH_SECRET is not set: start Exetasis with "npm start".');
	return AUTH_SECRET;
}

function createAuth(db: Database) {
	return betterAuth({
		secret: secret(),
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
				active: { type: 'boolean', required: true, input: false },
				firstPassword: { type: 'boolean', required: true, input: false },
				preferences: { type: 'json', required: true, input: false }
			}
		},
		session: SESSION,
		// Wrong passwords are counted by `attempts`, by account and address.
		rateLimit: { enabled: false },
		// Its messages would carry whole statements with the tokens in them; what matters is logged by us.
		logger: { disabled: true },
		advanced: {
			cookiePrefix: COOKIE_PREFIX,
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
	/** Signed in with a password that other people have seen: it has to be changed before anything else. */
	readonly firstPassword: boolean;
}

/** Who is signed in by these cookies, or undefined. */
export async function whoIs(headers: Headers): Promise<SignedIn | undefined> {
	const session = await sessionOf(database(), headers, secret());
	if (!session || (isDue(session) && !(await auth().api.getSession({ headers })))) return undefined;
	const { id, name, role, shopId, active, preferences, firstPassword } = session.user;
	return active ? { id, name, role, shopId, preferences: preferences ?? {}, firstPassword } : undefined;
}

type SignInResult = { kind: 'signedIn'; headers: Headers } | { kind: 'refused' } | { kind: 'tooMany'; seconds: number };

/** Signs in by e-mail and password; a session that these headers carry ends. */
export async function signIn(
	{ email, password }: { email: string; password: string },
	address: string,
	before: Headers = new Headers()
): Promise<SignInResult> {
	const seconds = await waitBefore(email, address);
	if (seconds > 0) return { kind: 'tooMany', seconds };
	const refused = async (): Promise<SignInResult> => {
		await countWrong(email, address);
		return { kind: 'refused' };
	};
	// Whose sign-in was taken away gets no session, right password or not.
	const person = await database().models.user.findOne({ where: { email: email.toLowerCase() } });
	if (person && !person.get('active')) return refused();
	const response = await auth().api.signInEmail({ body: { email, password }, asResponse: true });
	if (response.status >= 500) throw new Error(`sign-in answered ${response.status}`);
	if (!response.ok) return refused();
	await forgive(email, address);
	if (await auth().api.getSession({ headers: before })) await signOut(before);
	return { kind: 'signedIn', headers: response.headers };
}

/** Ends the session of these cookies and its streams; the answer's headers clear them. */
export async function signOut(headers: Headers): Promise<Headers> {
	const user = await whoIs(headers);
	const response = await auth().api.signOut({ headers, asResponse: true });
	if (user) endStreamsOf(user.id);
	return response.headers;
}
