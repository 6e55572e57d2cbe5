import { jsonError } from '@/actions/answer';
import { explain, logBodySchema } from '@/core/formats/schemas';
import { renewLocal } from '@/server/answers/local-steps';
import { appendLog } from '@/server/record/append-log';
import { isDiskFull, Problem } from '@/server/storage/problems';
import { apiSessionsIdLogRoute as say } from '../../../../text';

/** Takes what a device has in its outbox and answers with the whole log. Sending twice changes nothing. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  try {
    const body: unknown = await request.json().catch(() => {
      throw new Problem(say.bodyJsonNothing);
    });
    const read = logBodySchema.safeParse(body);
    if (!read.success) throw new Problem(say.bodyFitNothing(explain(read.error)));
    const finished = read.data.entries.some((e) => e.kind === 'finish');
    // Off the way of whoever waits: how hard steps are here moves once in half a term.
    if (finished) void renewLocal().catch((error: unknown) => console.error(say.localCouldNot, error));
    return Response.json({
      ...(await appendLog((await params).id, read.data.entries, { has: read.data.has, device: true })),
      now: Date.now(),
    });
  } catch (error) {
    // What is sent from here waits on the device until it is kept.
    return isDiskFull(error) ? Response.json({ error: say.diskFull }, { status: 503 }) : jsonError(error);
  }
}
