export const dynamic = 'force-dynamic';

/** Says which Bouncy Echo this is, so that a start script never mistakes another server on the port for its own. */
export const GET = (): Response => Response.json({ app: 'bouncy-echo', run: process.env.BOUNCY_ECHO_RUN ?? null });
