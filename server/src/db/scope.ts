import type { Transaction, Attributes, FindOptions, Model, ModelStatic, WhereOptions } from 'sequelize';
import type { Database } from './connection';

/** One shop's view of the database, and the transaction it works in, if any. Every service takes it first. */
export interface ShopScope {
	readonly db: Database;
	readonly shopId: string;
	readonly transaction?: Transaction;
}

type Models = Database['models'];
type Rows<N extends keyof Models> = Models[N] extends ModelStatic<infer M> ? (M extends Model ? M : never) : never;
type Row<N extends keyof Models> = Attributes<Rows<N>>;
type Find<N extends keyof Models> = Omit<FindOptions<Row<N>>, 'where' | 'transaction'>;

/**
 * A model's rows of one shop: the shop stands in every condition and in every row that is written, so that no service can
 * forget it. (The models themselves refuse a query without it.) Answers are plain objects, never model instances.
 */
export function of<N extends keyof Models>({ db, shopId, transaction }: ShopScope, name: N) {
	const model = db.models[name] as unknown as ModelStatic<Model>;
	const own = (where: WhereOptions<Row<N>> = {}) => ({ ...where, shopId }) as WhereOptions;
	const plain = <T>(row: Model): T => row.get({ plain: true }) as T;
	return {
		async all<T = Row<N>>(where?: WhereOptions<Row<N>>, options: Find<N> = {}): Promise<T[]> {
			// Rows of one table need no instances made of them: a log has hundreds.
			const raw = options.include === undefined;
			const found = await model.findAll({ ...(options as object), where: own(where), transaction, raw });
			return raw ? (found as unknown as T[]) : found.map((row) => plain<T>(row));
		},
		async one<T = Row<N>>(where?: WhereOptions<Row<N>>, options: Find<N> = {}): Promise<T | undefined> {
			const found = await model.findOne({ ...(options as object), where: own(where), transaction });
			return found ? plain<T>(found) : undefined;
		},
		count: (where?: WhereOptions<Row<N>>): Promise<number> => model.count({ where: own(where), transaction }),
		add: async (row: Omit<Row<N>, 'shopId'>): Promise<void> =>
			void (await model.create({ ...row, shopId }, { transaction, returning: false })),
		/** Adds the row unless one of its unique keys is taken; whether it did. */
		async addUnlessThere(row: Omit<Row<N>, 'shopId'> & { id: string }): Promise<boolean> {
			await model.bulkCreate([{ ...row, shopId }], { transaction, ignoreDuplicates: true, returning: false });
			return (await model.count({ where: { shopId, id: row.id }, transaction })) > 0;
		},
		put: async (row: Omit<Row<N>, 'shopId'>): Promise<void> =>
			void (await model.upsert({ ...row, shopId }, { transaction, returning: false })),
		addAll: async (rows: readonly Omit<Row<N>, 'shopId'>[]): Promise<void> => {
			if (rows.length > 0)
				await model.bulkCreate(
					rows.map((row) => ({ ...row, shopId })),
					{ transaction, returning: false }
				);
		},
		remove: (where: WhereOptions<Row<N>>): Promise<number> => model.destroy({ where: own(where), transaction }),
		change: async (where: WhereOptions<Row<N>>, values: Partial<Row<N>>): Promise<number> =>
			(await model.update(values as object, { where: own(where), transaction }))[0]
	};
}

const RETRIES = 3;
/** PostgreSQL broke a circle of waiting writers by ending this one: done again it succeeds. */
const wasDeadlocked = (error: unknown): boolean => codeOf(error) === '40P01' || codeOf(error) === '40001';

/** PostgreSQL's own code of an error, where it is one of its errors. */
export const codeOf = (error: unknown): string | undefined =>
	(error as { original?: { code?: string } } | undefined)?.original?.code ??
	(error as { code?: string } | undefined)?.code;

/** Whether an error says that a key is there already. */
export const wasTaken = (error: unknown): boolean => codeOf(error) === '23505';

/** Does the work, and once more where it lost to another writer. It must do the same the second time. */
export async function retried<T>(work: () => Promise<T>): Promise<T> {
	for (let attempt = 1; ; attempt++) {
		try {
			return await work();
		} catch (error) {
			if (attempt > RETRIES || !wasDeadlocked(error)) throw error;
		}
	}
}

/** Runs the work in one transaction; it commits when the work resolves and rolls back when it throws. */
export const inTransaction = <T>(scope: ShopScope, work: (scope: ShopScope) => Promise<T>): Promise<T> =>
	retried(() => scope.db.sequelize.transaction((transaction) => work({ ...scope, transaction })));
