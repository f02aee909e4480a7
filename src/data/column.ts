import {
  DataTypes,
  type Model,
  type ModelAttributeColumnOptions,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

/** A column of a table with the type its values have in TypeScript. */
export interface Column<T> extends ModelAttributeColumnOptions {
  /** never set: carries the type */
  readonly value?: T;
}

type Type = ModelAttributeColumnOptions['type'];

function column<T>(type: Type, more: Partial<ModelAttributeColumnOptions> = {}): Column<T> {
  return { type, allowNull: false, ...more };
}

/** The same column where nothing may stand. */
export function maybe<T>(one: Column<T>): Column<T | null> {
  return { ...one, allowNull: true } as Column<T | null>;
}

/** The same column as part of the primary key. */
export function key<T>(one: Column<T>): Column<T> {
  return { ...one, primaryKey: true };
}

/** The same column with what stands there when nothing is said, as in the database. */
export function or<T>(one: Column<T>, value: NoInfer<T>): Column<T> {
  return { ...one, defaultValue: value };
}

/** A number that the database itself gives each row. */
export const given = () =>
  column<number>(DataTypes.BIGINT, { autoIncrement: true, autoIncrementIdentity: true });

/** The same as text. */
export const givenText = () =>
  column<string>(DataTypes.TEXT, { autoIncrement: true, autoIncrementIdentity: true });

export const uuid = () => column<string>(DataTypes.UUID);
export const text = () => column<string>(DataTypes.TEXT);
export const oneOf = <const T extends string>(..._choices: T[]) => column<T>(DataTypes.TEXT);
export const texts = () => column<string[]>(DataTypes.ARRAY(DataTypes.TEXT));
export const whole = () => column<number>(DataTypes.INTEGER);
export const wholes = () => column<number[]>(DataTypes.ARRAY(DataTypes.SMALLINT));
/** Minor units; database.ts reads bigint as a number. */
export const money = () => column<number>(DataTypes.BIGINT);
/** A whole number of more than 32 bits, or of 32 without a sign. */
export const large = () => column<number>(DataTypes.BIGINT);
/** A decimal, kept as text so that nothing is lost. */
export const decimal = () => column<string>(DataTypes.DECIMAL);
export const yesNo = () => column<boolean>(DataTypes.BOOLEAN);
export const date = () => column<string>(DataTypes.DATEONLY);
export const dates = () => column<string[]>(DataTypes.ARRAY(DataTypes.DATEONLY));
export const moment = () => column<Date>(DataTypes.DATE);
export const json = <T>() => column<T>(DataTypes.JSONB);
export const bytes = () => column<Buffer>(DataTypes.BLOB);

export type Columns = Record<string, Column<unknown>>;

/** A row of a table as its columns describe it. */
export type RowOf<C extends Columns> = {
  [Name in keyof C]: C[Name] extends Column<infer T> ? T : never;
};

export type TableOf<C extends Columns> = ModelStatic<Model<RowOf<C>, Partial<RowOf<C>>>>;

/** Makes the model of a table. Names in the database and in code are the same; times are set by hand. */
export function table<C extends Columns>(sequelize: Sequelize, name: string, columns: C): TableOf<C> {
  const attributes = Object.fromEntries(Object.entries(columns).map(([one, column]) => [one, { ...column }]));
  return sequelize.define(name, attributes as never, {
    tableName: name,
    timestamps: false,
    underscored: true,
  }) as unknown as TableOf<C>;
}
