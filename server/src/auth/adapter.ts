import { createAdapterFactory, type CustomAdapter } from 'better-auth/adapters';
import { literal, Op, type ModelStatic, type Model, type WhereOptions } from 'sequelize';
import type { Database } from '../db/connection';

type CleanedWhere = Parameters<CustomAdapter['updateMany']>[0]['where'][number];

const operators = {
	eq: Op.eq,
	ne: Op.ne,
	lt: Op.lt,
	lte: Op.lte,
	gt: Op.gt,
	gte: Op.gte,
	in: Op.in,
	not_in: Op.notIn,
	contains: Op.substring,
	starts_with: Op.startsWith,
	ends_with: Op.endsWith
} as const;

const patterns: ReadonlySet<string> = new Set(['contains', 'starts_with', 'ends_with']);
// What is looked for in a pattern stands for itself.
const literally = (value: CleanedWhere['value']) => String(value).replaceAll(/[\\%_]/g, '\\$&');

// The library's conditions: those joined by OR among themselves, and all others by AND.
function whereOf(conditions: readonly CleanedWhere[] = []): WhereOptions {
	const conditionOf = ({ field, operator, value }: CleanedWhere) => ({
		[field]: { [operators[operator as keyof typeof operators]]: patterns.has(operator) ? literally(value) : value }
	});
	const either = conditions.filter(({ connector }) => connector === 'OR').map(conditionOf);
	const all = conditions.filter(({ connector }) => connector !== 'OR').map(conditionOf);
	return { [Op.and]: [...all, ...(either.length ? [{ [Op.or]: either }] : [])] } as WhereOptions;
}

/** Lets the sign-in library keep its tables through our Sequelize models, by its own adapter interface. */
export const sequelizeAdapter = ({ models, sequelize }: Database) =>
	createAdapterFactory({
		config: {
			adapterId: 'sequelize',
			adapterName: 'Sequelize',
			supportsJSON: true,
			supportsDates: true,
			supportsBooleans: true
		},
		adapter: () => {
			const table = (model: string) => (models as unknown as Record<string, ModelStatic<Model>>)[model];
			const findOne = async (model: string, where: CleanedWhere[], attributes?: string[]) =>
				(await table(model).findOne({ where: whereOf(where), attributes, raw: true })) as never;
			return {
				create: async ({ model, data }) => (await table(model).create(data)).get({ plain: true }),
				update: async ({ model, where, update }) => {
					const [, rows] = await table(model).update(update as object, { where: whereOf(where), returning: true });
					return (rows[0]?.get({ plain: true }) ?? null) as never;
				},
				updateMany: async ({ model, where, update }) =>
					(await table(model).update(update, { where: whereOf(where) }))[0],
				findOne: ({ model, where, select }) => findOne(model, where, select),
				findMany: async ({ model, where, limit, offset, sortBy, select }) =>
					(await table(model).findAll({
						where: whereOf(where),
						limit,
						offset,
						attributes: select,
						raw: true,
						order: sortBy ? [[sortBy.field, sortBy.direction]] : undefined
					})) as never,
				delete: async ({ model, where }) => void (await table(model).destroy({ where: whereOf(where) })),
				deleteMany: ({ model, where }) => table(model).destroy({ where: whereOf(where) }),
				count: ({ model, where }) => table(model).count({ where: whereOf(where) }),
				// One statement, so that two nodes counting attempts at once do not lose one.
				incrementOne: async ({ model, where, increment, set = {} }) => {
					const raised = Object.entries(increment).map(([field, by]) => {
						const column = sequelize.getQueryInterface().quoteIdentifier(table(model).getAttributes()[field].field!);
						return [field, literal(`${column} + ${Number(by)}`)];
					});
					const changes = { ...set, ...Object.fromEntries(raised) };
					const [, rows] = await table(model).update(changes, { where: whereOf(where), returning: true });
					return (rows[0]?.get({ plain: true }) ?? null) as never;
				}
			};
		}
	});
