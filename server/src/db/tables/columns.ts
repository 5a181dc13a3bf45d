import { DataTypes, type ModelAttributeColumnOptions } from 'sequelize';

/** A column as Sequelize defines it, with the type of what it holds. */
export interface Column<T> extends ModelAttributeColumnOptions {
	/** For the compiler alone: no column has it. */
	readonly holds?: () => T;
}
type Columns = Readonly<Record<string, Column<unknown>>>;

export interface Table<C extends Columns = Columns> {
	readonly name: string;
	readonly columns: C;
}

/** A row of a table, as its columns say. */
export type RowOf<T extends Table> = {
	-readonly [K in keyof T['columns']]: T['columns'][K] extends Column<infer Held> ? Held : never;
};

/** A table with these columns. Keys to other tables, checks and triggers are the migrations'. */
export const table = <C extends Columns>(name: string, columns: C): Table<C> => ({ name, columns });

const column = <T>(type: Column<T>['type']): Column<T> => ({ type });
export const uuid = column<string>(DataTypes.UUID);
export const text = column<string>(DataTypes.TEXT);
/** Text that is one of a few. */
export const textOf = <T extends string>() => column<T>(DataTypes.TEXT);
export const number = column<number>(DataTypes.DOUBLE);
export const whole = column<number>(DataTypes.INTEGER);
/** Whole numbers too large for a number: they arrive as text. */
export const long = column<string>(DataTypes.BIGINT);
export const flag = column<boolean>(DataTypes.BOOLEAN);
export const json = <T>() => column<T>(DataTypes.JSONB);
export const bytes = column<Buffer>(DataTypes.BLOB);
export const date = column<Date>(DataTypes.DATE);
/** A day without a time: "2026-03-01". */
export const day = column<string>(DataTypes.DATEONLY);

export const nullable = <T>(of: Column<T>): Column<T | null> => ({ type: of.type, allowNull: true });
export const key = <T>(of: Column<T>): Column<T> => ({ ...of, primaryKey: true });
export const withDefault = <T>(of: Column<T>, defaultValue: unknown): Column<T> => ({ ...of, defaultValue });
/** The default of a moment: when its row was made. */
export const now = DataTypes.NOW;
