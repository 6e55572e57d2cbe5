import { jsonError } from '@/app/json-error';
import { everything } from '@/server/whole/everything';
import { note } from '@/server/whole/journal';

/** Everything of this setting as one archive, sent while it is made. */
export async function GET(): Promise<Response> {
  try {
    const { pieces, name } = everything();
    const first = await pieces.next();
    await note('everything-taken').catch(() => undefined);
    const body = new ReadableStream<Uint8Array>({
      start: (out) => {
        if (!first.done) out.enqueue(first.value);
      },
      pull: async (out) => {
        const { done, value } = await pieces.next();
        if (done) out.close();
        else out.enqueue(value);
      },
      cancel: async () => {
        await pieces.return(undefined);
      },
    });
    return new Response(body, {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': `attachment; filename="${name}"`,
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return jsonError(error);
  }
}
