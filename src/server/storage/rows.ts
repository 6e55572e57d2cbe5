import { QueryTypes, type Transaction } from 'sequelize';
import type { Database as Connection } from 'sqlite3';
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
 * Runs a statement with its values in order, on the connection of a transaction. Sequelize gives each value a name, and
 * looking names up costs more the more there are: 500 rows took a second.
 * @example await run('UPDATE steps SET kind = ? WHERE id = ?', ['out', id], transaction)
 */
export const run = (sql: string, values: readonly unknown[], transaction: Transaction): Promise<void> =>
  new Promise((resolve, reject) => {
    const { connection } = transaction as unknown as { readonly connection: Connection };
    connection.run(sql, values, (error: Error | null) => (error ? reject(error) : resolve()));
  });

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
  const columns = Object.keys(first) as (keyof Row & string)[];
  const each = Math.floor(VALUES / columns.length);
  for (let from = 0; from < all.length; from += each) {
    const some = all.slice(from, from + each);
    const values = some.flatMap((row) => columns.map((column) => row[column]));
    const line = `(${columns.map(() => '?').join(', ')})`;
    await run(
      `INSERT INTO ${table} (${columns.join(', ')}) VALUES ${some.map(() => line).join(', ')}`,
      values,
      transaction,
    );
  }
}
