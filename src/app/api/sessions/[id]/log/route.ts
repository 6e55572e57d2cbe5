import { jsonError } from '@/app/json-error';
import { explain, logBodySchema } from '@/core/formats/schemas';
import { renewLocal } from '@/server/answers/local-steps';
import { endLoanOf } from '@/server/lending/lend';
import { appendLog } from '@/server/record/append-log';
import { epoch } from '@/server/whole/epoch';
import { isDiskFull, Problem } from '@/server/storage/problems';

/** Takes what a device has in its outbox and answers with the whole log. Sending twice changes nothing. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  try {
    const body: unknown = await request.json().catch(() => {
      throw new Problem('The body is not JSON. Nothing was saved.');
    });
    const read = logBodySchema.safeParse(body);
    if (!read.success) throw new Problem(`The body doesn’t fit: ${explain(read.error)} Nothing was saved.`);
    const finished = read.data.entries.some((e) => e.kind === 'finish');
    // Off the way of whoever waits: how hard steps are here moves once in half a term.
    if (finished)
      void renewLocal().catch((error: unknown) =>
        console.error('How hard steps are here could not be worked out:', error),
      );
    const { id } = await params;
    const appended = await appendLog(id, read.data.entries, { has: read.data.has, device: true });
    if (finished) await endLoanOf(id);
    return Response.json({
      ...appended,
      now: Date.now(),
      epoch: await epoch(),
    });
  } catch (error) {
    // What is sent from here waits on the device until it is kept.
    return isDiskFull(error)
      ? Response.json(
          {
            error:
              'The computer’s disk is full. Your answers are safe on this device. We’ll save them as soon as ' +
              'there’s room.',
          },
          { status: 503 },
        )
      : jsonError(error);
  }
}
