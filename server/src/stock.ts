import { Op } from 'sequelize';
import { v7 as uuidv7 } from 'uuid';
import type { ShimStock } from '@exetasis/core/build';
import type { Entry } from '@exetasis/core/record';
import type { SignedIn } from './auth/auth';
import { append } from './benchLog/append';
import { inTransaction, of, type ShopScope } from './db/scope';
import { pinnedSheet } from './sheets';

/** Pieces of one station of a model in the shop's drawers, and how many are always to be there. */
export interface StockLine {
	readonly station: string;
	readonly pieces: number;
	readonly floor: number;
}

/** What the shop has of a model. */
export const stockOf = async (scope: ShopScope, model: string): Promise<StockLine[]> =>
	(await of(scope, 'stock').all({ model })).map(({ station, pieces, floor }) => ({ station, pieces, floor }));

/** Says what lies in a drawer, and how much is always to be there. */
export const keepStock = (scope: ShopScope, model: string, line: StockLine): Promise<void> =>
	of(scope, 'stock').put({ model, ...line });

/** The shims in the shop's drawer, thinnest first. */
export const shimsOf = async (scope: ShopScope): Promise<ShimStock[]> =>
	(await of(scope, 'shim').all({}, { order: [['thicknessMm', 'ASC']] })).map(({ thicknessMm, count }) => ({
		thicknessMm,
		count
	}));

/** Says what lies in the drawer of shims now, each thickness once. */
export const keepShims = (scope: ShopScope, shims: readonly ShimStock[]): Promise<void> =>
	inTransaction(scope, async (within) => {
		// Others may say so at the same moment: a thickness that is there is changed, not added twice.
		for (const { thicknessMm, count } of shims) await of(within, 'shim').put({ thicknessMm, count });
		await of(within, 'shim').remove({ thicknessMm: { [Op.notIn]: shims.map(({ thicknessMm }) => thicknessMm) } });
	});

export type Taken =
	| { readonly kind: 'taken' }
	/** Someone else was there first: so many are left. */
	| { readonly kind: 'tooFew'; readonly left: number }
	| { readonly kind: 'unknownJob' }
	| { readonly kind: 'refused'; readonly code: string };

/** Takes pieces for a job out of the drawer: what is taken is gone for everybody, and stands in the job's log. */
export function takeFromStock(
	scope: ShopScope,
	user: SignedIn,
	jobId: string,
	{ station, pieces }: { readonly station: string; readonly pieces: number }
): Promise<Taken> {
	return inTransaction(scope, async (within): Promise<Taken> => {
		const job = await of(within, 'job').one({ id: jobId });
		if (!job) return { kind: 'unknownJob' };
		const { model } = await pinnedSheet(within, job.modelSheetId);
		const line = await of(within, 'stock').one({ model, station }, { lock: true });
		const left = line?.pieces ?? 0;
		if (left < pieces) return { kind: 'tooFew', left };
		const entry: Entry = {
			id: uuidv7(),
			job: jobId,
			by: user.id,
			at: new Date().toISOString(),
			kind: 'arrived',
			payload: { station, pieces, from: 'stock' }
		};
		const [answer] = (await append(within, user, jobId, [entry]))!;
		if (answer.result === 'refused') return { kind: 'refused', code: answer.problem.code };
		await of(within, 'stock').change({ model, station }, { pieces: left - pieces });
		return { kind: 'taken' };
	});
}
