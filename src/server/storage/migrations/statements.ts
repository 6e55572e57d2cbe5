import type { QueryInterface } from 'sequelize';

type Run = (parameters: { context: QueryInterface }) => Promise<void>;

/** Statements, one after the other. */
export const run =
  (all: readonly string[]): Run =>
  async ({ context }) => {
    for (const statement of all) await context.sequelize.query(statement);
  };

/** A migration of plain statements; its way back drops the tables it made. */
export function statements(up: readonly string[], tables: readonly string[]): { up: Run; down: Run } {
  return { up: run(up), down: run(tables.map((table) => `DROP TABLE ${table}`)) };
}
