import { QueryTypes, type Transaction } from 'sequelize';
import { database } from './database';

/**
 * The rows that a question in SQL gives. `values` stand in it by name; the type says which columns it asks for.
 * Example: `await rows<{ name: string }>('SELECT name FROM children WHERE id = :id', { id })`.
 */
export async function rows<T extends object>(
  sql: string,
  values: Readonly<Record<string, unknown>> = {},
  transaction?: Transaction,
): Promise<T[]> {
  const { sequelize } = await database();
  return sequelize.query<T>(sql, {
    replacements: { ...values },
    type: QueryTypes.SELECT,
    ...(transaction ? { transaction } : {}),
  });
}

/** Values in one statement: SQLite takes 32,766 at most. */
const VALUES = 30_000;

/**
 * Inserts rows as they are, without a model for each. All have the columns of the first.
 * Example: `await insertRows('steps', [{ id, kind, at }], transaction)`.
 */
export async function insertRows<Row extends object>(
  table: string,
  all: readonly Row[],
  transaction: Transaction,
): Promise<void> {
  const [first] = all;
  if (!first) return;
  const { sequelize } = await database();
  const columns = Object.keys(first) as (keyof Row & string)[];
  const each = Math.floor(VALUES / columns.length);
  for (let from = 0; from < all.length; from += each) {
    const some = all.slice(from, from + each);
    const bind = some.flatMap((row) => columns.map((column) => row[column]));
    const line = (i: number): string => `(${columns.map((_, c) => `$${i * columns.length + c + 1}`).join(', ')})`;
    await sequelize.query(
      `INSERT INTO ${table} (${columns.join(', ')}) VALUES ${some.map((_, i) => line(i)).join(', ')}`,
      { bind, transaction },
    );
  }
}
