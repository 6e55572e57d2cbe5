/** At start: opens the database and brings it up to date, so that the first page does not wait for it. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return;
  const { database } = await import('./server/storage/database');
  try {
    const { told } = await database();
    if (told) console.warn(told);
    if (process.env.BOUNCY_ECHO_DEMO === '1') await (await import('./server/demo/seed')).seedDemo(Date.now());
    await (await import('./server/whole/restore')).afterStart();
    // Sessions of an earlier version, or cut off by a sudden end, are read while the first page is on its way.
    (await import('./server/record/rebuild-queue')).caughtUp().catch((error: unknown) => console.error(error));
    (await import('./server/whole/keep-ready')).beginKeeping();
  } catch (error) {
    // A fault is shown in words on every page.
    console.error(error instanceof Error ? error.message : error);
  }
}
