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
