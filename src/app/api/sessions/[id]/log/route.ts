import { jsonError } from '@/actions/answer';
import { explain, logBodySchema } from '@/core/formats/schemas';
import { appendLog } from '@/server/record/append-log';
import { Problem } from '@/server/storage/problems';
import { apiSessionsIdLogRoute as say } from '../../../../text';

/** Takes what a device has in its outbox and answers with the whole log. Sending twice changes nothing. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  try {
    const body: unknown = await request.json().catch(() => {
      throw new Problem(say.bodyJsonNothing);
    });
    const read = logBodySchema.safeParse(body);
    if (!read.success) throw new Problem(say.bodyFitNothing(explain(read.error)));
    return Response.json({
      ...(await appendLog((await params).id, read.data.entries, read.data.has)),
      now: Date.now(),
    });
  } catch (error) {
    return jsonError(error);
  }
}
