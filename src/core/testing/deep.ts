/**
 * How often a check is repeated with other seeds, or with what: often before a change is called done (`npm run
 * test:deep`), less often in every run. Each daily number is still enough to catch a spoilt generator
 * (testing/every-game.test.ts).
 */
export const times = <T>(deep: T, daily: T): T => (process.env.DEEP === '1' ? deep : daily);
