import type { Model, ModelStatic, Sequelize } from 'sequelize';
import { associate } from './associations';
import { refuseWithoutShop } from './refuseWithoutShop';
import * as tables from './tables';
import type { RowOf, Table } from './tables/columns';
import * as signIn from './tables/signIn';

type Tables = typeof tables;
type Models = {
	[K in keyof Tables]: Tables[K] extends Table ? ModelStatic<Model<RowOf<Tables[K]>, RowOf<Tables[K]>>> : never;
};

// The sign-in library writes its own columns: their rows are not typed here.
type SignInModels = Record<keyof typeof signIn, ModelStatic<Model>>;

// Sequelize writes into the column definitions that it is given, so each table gets copies of the shared ones.
const copies = (columns: object) =>
	Object.fromEntries(Object.entries(columns).map(([name, column]) => [name, { ...column }]));

/** The Sequelize models. Tables carry the same names; sign-in's own tables are defined beside them for its adapter. */
export function defineModels(sequelize: Sequelize) {
	const define = ({ name, columns }: Table) => sequelize.define(name, copies(columns), { tableName: name });
	const defined = (all: object) =>
		Object.fromEntries(Object.entries(all).map(([name, table]) => [name, define(table as Table)]));
	const models = { ...(defined(tables) as unknown as Models), ...(defined(signIn) as unknown as SignInModels) };
	associate(models);
	for (const model of Object.values(models)) refuseWithoutShop(model as ModelStatic<Model>);
	return models;
}
