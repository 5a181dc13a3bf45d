import { inTransaction, of, type ShopScope } from '../db/scope';
import { countLooks, forgetCounted } from '../db/sql/countLooks';
import { lockCounting } from '../db/sql/lockCounting';
import { logMarks } from '../db/sql/logMarks';

/** Version of how looks are counted; what was counted by another one is counted anew. */
const METHOD = 1;

/** Counts the looks of those of the shop's pumps whose record has grown since they were counted last. */
export async function upToDate(scope: ShopScope): Promise<void> {
	if ((await grownSince(scope)).length === 0) return;
	await inTransaction(scope, async (within) => {
		await lockCounting(within);
		const grown = await grownSince(within);
		const pumpIds = grown.map(({ pumpId }) => pumpId);
		await forgetCounted(within, pumpIds);
		await countLooks(within, pumpIds);
		for (const one of grown) await of(within, 'countedPump').put(one);
	});
}

async function grownSince(scope: ShopScope): Promise<{ pumpId: string; mark: string }[]> {
	const [marks, counted] = await Promise.all([logMarks(scope, null), of(scope, 'countedPump').all()]);
	const known = new Map(counted.map(({ pumpId, mark }) => [pumpId, mark]));
	return marks
		.map(({ pump, mark }) => ({ pumpId: pump, mark: `${METHOD}/${mark}` }))
		.filter(({ pumpId, mark }) => known.get(pumpId) !== mark);
}
