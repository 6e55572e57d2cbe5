import { jsonError } from '@/actions/answer';
import { everything } from '@/server/whole/everything';

/** Everything of this setting as one archive. */
export async function GET(): Promise<Response> {
  try {
    const { bytes, name } = await everything();
    return new Response(Buffer.from(bytes), {
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
