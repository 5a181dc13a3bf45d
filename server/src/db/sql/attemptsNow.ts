import { QueryTypes } from 'sequelize';
import type { Database } from '../connection';

/** What is counted under these keys in windows that began after this moment; `since`: when the window began. */
export async function attemptsNow(
	db: Database,
	keys: readonly string[],
	windowFrom: number
): Promise<{ key: string; count: number; since: number }[]> {
	const found = await db.sequelize.query<{ key: string; count: number; since: string }>(
		'SELECT key, count, last_request AS since FROM rate_limit WHERE key = ANY($1::text[]) AND last_request >= $2',
		{ bind: [keys, windowFrom], type: QueryTypes.SELECT }
	);
	return found.map((one) => ({ ...one, since: Number(one.since) }));
}
