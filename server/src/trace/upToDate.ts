import { createHash } from 'node:crypto';
import { inTransaction, of, type ShopScope } from '../db/scope';
import { countLooks } from '../db/sql/countLooks';
import { lockCounting } from '../db/sql/lockCounting';
import { logMarks } from '../db/sql/logMarks';

/** Version of how looks are counted; what was counted by another one is counted anew. */
const METHOD = 1;

/**
 * Counts the looks of those of the shop's pumps whose record has grown since they were counted last. Answers with how far the record of
 * all of them has come: what is worked out from what is counted holds until this changes.
 */
export async function upToDate(scope: ShopScope): Promise<string> {
	const { grown, all } = await grownSince(scope);
	if (grown.length === 0) return all;
	return inTransaction(scope, async (within) => {
		await lockCounting(within);
		const { grown, all } = await grownSince(within);
		const pumpIds = grown.map(({ pumpId }) => pumpId);
		for (const counted of ['countedMark', 'countedLook', 'countedPump'] as const)
			await of(within, counted).remove({ pumpId: pumpIds });
		await countLooks(within, pumpIds);
		await of(within, 'countedPump').addAll(grown);
		return all;
	});
}

interface Grown {
	readonly grown: readonly { readonly pumpId: string; readonly mark: string }[];
	readonly all: string;
}

async function grownSince(scope: ShopScope): Promise<Grown> {
	const [marks, counted] = await Promise.all([logMarks(scope, null), of(scope, 'countedPump').all()]);
	const known = new Map(counted.map(({ pumpId, mark }) => [pumpId, mark]));
	const now = marks.map(({ pump, mark }) => ({ pumpId: pump, mark: `${METHOD}/${mark}` }));
	return {
		grown: now.filter(({ pumpId, mark }) => known.get(pumpId) !== mark),
		all: createHash('sha256').update(JSON.stringify(now)).digest('hex')
	};
}
