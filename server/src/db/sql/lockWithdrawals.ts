import type { ShopScope } from '../scope';
import { rows } from './statement';

/** Until the transaction ends no one else takes entries of this job back: each sees what the one before has taken back. */
export const lockWithdrawals = (scope: ShopScope, jobId: string): Promise<unknown> =>
	rows(scope, `SELECT pg_advisory_xact_lock(hashtextextended($1 || $2, 0))`, [jobId]);
