/** Lets whatever else waits have its turn: long work goes in slices, so that nobody waits for all of it. */
export const otherTurns = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** Does work that pauses now and then, and lets others have their turn at each pause. */
export async function inTurns<T>(work: Generator<undefined, T>): Promise<T> {
  for (let part = work.next(); ; part = work.next()) {
    if (part.done) return part.value;
    await otherTurns();
  }
}
