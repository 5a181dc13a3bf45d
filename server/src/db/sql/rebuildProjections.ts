import { inTransaction, type ShopScope } from '../scope';
import { insertInto, projections } from './projections';
import { rows } from './statement';

/** Empties a shop's projections and fills them from its log. */
export const rebuildProjections = (scope: ShopScope): Promise<void> =>
	inTransaction(scope, async (within) => {
		for (const projection of projections) {
			await rows(within, `DELETE FROM ${projection.table} WHERE shop_id = $1`);
			await rows(within, `${insertInto(projection, 'log_entry')} AND shop_id = $1`);
		}
	});
