import { inLogOrder, kindsTakingBack, withdrawnIds } from '@exetasis/core/record';
import { of, type ShopScope } from '../db/scope';
import { rebuildProjections } from '../db/sql/rebuildProjections';
import { entryOf } from './entries';

/**
 * Writes down which entries of a job are taken back. That is the log's own answer (a withdraw may be withdrawn), so the
 * core is asked; an entry that has not arrived yet may be taken back already.
 */
export async function projectWithdrawn(scope: ShopScope, jobId: string): Promise<void> {
	const takingBack = await of(scope, 'logEntry').all({ jobId, kind: kindsTakingBack });
	const now = withdrawnIds(inLogOrder(takingBack.map(entryOf)));
	const before = new Set((await of(scope, 'withdrawnEntry').all({ jobId })).map(({ entryId }) => entryId));
	const gone = [...before].filter((id) => !now.has(id));
	if (gone.length > 0) await of(scope, 'withdrawnEntry').remove({ entryId: gone });
	await of(scope, 'withdrawnEntry').addAll(
		[...now].filter((id) => !before.has(id)).map((entryId) => ({ jobId, entryId }))
	);
}

/** Makes everything that is kept beside a shop's log again from the log alone. */
export async function projectShop(scope: ShopScope): Promise<void> {
	await rebuildProjections(scope);
	const jobs = await of(scope, 'logEntry').all({ kind: kindsTakingBack }, { attributes: ['jobId'], group: ['jobId'] });
	for (const { jobId } of jobs) await projectWithdrawn(scope, jobId);
}
