/** Runs statements on the file, within the one transaction of all migrations. */
export interface InTransaction {
  run(statement: string): Promise<unknown>;
}

type Run = (parameters: { context: InTransaction }) => Promise<void>;

/** Statements, one after the other. */
export const run =
  (all: readonly string[]): Run =>
  async ({ context }) => {
    for (const statement of all) await context.run(statement);
  };

/** A migration of plain statements; its way back drops the tables it made. */
export function statements(up: readonly string[], tables: readonly string[]): { up: Run; down: Run } {
  return { up: run(up), down: run(tables.map((table) => `DROP TABLE ${table}`)) };
}
