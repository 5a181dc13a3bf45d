import { createHash } from 'node:crypto';
import { Op } from 'sequelize';
import { database } from '../db/connection';
import { countAttempt } from '../db/sql/countAttempt';

const WINDOW_MS = 15 * 60 * 1000;
/**
 * Wrong passwords in a quarter of an hour: of one account from one address, so that a person who guesses locks no one else
 * out; of one account from anywhere, so that many addresses guess no better; from one address, for a program that goes
 * through accounts (a whole shop may sign in from one).
 */
const MOST = { both: 10, account: 60, address: 300 } as const;

// Kept as digests: the table tells no one's address.
const digest = (...parts: string[]): string => createHash('sha256').update(parts.join('\n')).digest('base64url');
const keysOf = (account: string, address: string): [string, number][] => [
	[digest('both', account, address), MOST.both],
	[digest('account', account), MOST.account],
	[digest('address', address), MOST.address]
];

/** Seconds to wait before this account may be tried again from this address; 0: now. */
export async function waitBefore(account: string, address: string, now = Date.now()): Promise<number> {
	const keys = keysOf(account.toLowerCase(), address);
	const counted = await database().models.rateLimit.findAll({
		where: { key: keys.map(([key]) => key), lastRequest: { [Op.gte]: now - WINDOW_MS } }
	});
	const over = counted.filter((row) => Number(row.get('count')) >= keys.find(([key]) => key === row.get('key'))![1]);
	// The column holds when the window began.
	const until = Math.max(0, ...over.map((row) => Number(row.get('lastRequest')) + WINDOW_MS - now));
	return Math.ceil(until / 1000);
}

/** Counts a wrong password. */
export async function countWrong(account: string, address: string, now = Date.now()): Promise<void> {
	for (const [key] of keysOf(account.toLowerCase(), address)) await countAttempt(database(), key, now, now - WINDOW_MS);
}

/** Forgets the wrong passwords of an account from the address from which it has signed in. */
export async function forgive(account: string, address: string): Promise<void> {
	const [[both]] = keysOf(account.toLowerCase(), address);
	await database().models.rateLimit.destroy({ where: { key: both } });
}
