import { sentenceOf } from '@/actions/answer';
import { database } from '@/server/storage/database';

export const dynamic = 'force-dynamic';

/**
 * Says which Bouncy Echo this is, so that a start script never mistakes another server on the port for its own, and
 * what keeps it from its data, if anything does.
 */
export const GET = async (): Promise<Response> => {
  const problem = await database().then(() => null, sentenceOf);
  return Response.json({ app: 'bouncy-echo', run: process.env.BOUNCY_ECHO_RUN ?? null, problem });
};
