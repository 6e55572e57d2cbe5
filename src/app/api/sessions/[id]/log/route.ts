import { jsonError } from '@/actions/answer';
import { explain, logBodySchema } from '@/core/formats/schemas';
import { appendLog } from '@/server/record/append-log';
import { Problem } from '@/server/storage/problems';

/** Takes what a device has in its outbox and answers with the whole log. Sending twice changes nothing. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  try {
    const body: unknown = await request.json().catch(() => {
      throw new Problem('The body is not JSON. Nothing was saved.');
    });
    const read = logBodySchema.safeParse(body);
    if (!read.success) throw new Problem(`The body does not fit: ${explain(read.error)} Nothing was saved.`);
    return Response.json({
      ...(await appendLog((await params).id, read.data.entries, read.data.has)),
      now: Date.now(),
    });
  } catch (error) {
    return jsonError(error);
  }
}
