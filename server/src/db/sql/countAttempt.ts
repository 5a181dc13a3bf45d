import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Database } from '../connection';

/** Counts an attempt under a key from the first one of its window on: one statement, so that two nodes lose none. */
export const countAttempt = (db: Database, key: string, now: number, windowFrom: number): Promise<unknown> =>
	db.sequelize.query(
		`
		INSERT INTO rate_limit (id, key, count, last_request) VALUES ($1, $2, 1, $3)
		ON CONFLICT (key) DO UPDATE SET
			count = CASE WHEN rate_limit.last_request < $4 THEN 1 ELSE rate_limit.count + 1 END,
			last_request = CASE WHEN rate_limit.last_request < $4 THEN $3 ELSE rate_limit.last_request END`,
		{ bind: [randomUUID(), key, now, windowFrom], type: QueryTypes.INSERT }
	);
