/** Lets whatever else waits have its turn: long work goes in slices, so that nobody waits for all of it. */
export const otherTurns = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
