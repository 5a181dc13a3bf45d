// The tables that the sign-in library keeps, with its own column names.
import { date, key, long, table, text, whole } from './columns';

export const session = table('session', {
	id: key(text),
	userId: text,
	token: text,
	expiresAt: date,
	ipAddress: text,
	userAgent: text,
	createdAt: date,
	updatedAt: date
});

export const account = table('account', {
	id: key(text),
	userId: text,
	accountId: text,
	providerId: text,
	password: text,
	accessToken: text,
	refreshToken: text,
	idToken: text,
	accessTokenExpiresAt: date,
	refreshTokenExpiresAt: date,
	scope: text,
	createdAt: date,
	updatedAt: date
});

export const verification = table('verification', {
	id: key(text),
	identifier: text,
	value: text,
	expiresAt: date,
	createdAt: date,
	updatedAt: date
});

export const rateLimit = table('rate_limit', { id: key(text), key: text, count: whole, lastRequest: long });
