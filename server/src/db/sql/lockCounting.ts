import type { ShopScope } from '../scope';
import { rows } from './statement';

/** Holds the counting of a shop's looks for the transaction: of two who ask at once one counts, the other finds it counted. */
export const lockCounting = (scope: ShopScope): Promise<unknown[]> =>
	rows(scope, `SELECT pg_advisory_xact_lock(hashtextextended($1 || 'counted inspections', 0))`);
