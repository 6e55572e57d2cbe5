import { jsonError } from '@/app/json-error';
import { findAnything, findSchema } from '@/server/whole/quick-find';

/** What `?q=` finds, by name or by sounds. */
export async function GET(request: Request): Promise<Response> {
  try {
    const text = findSchema.parse(new URL(request.url).searchParams.get('q') ?? '');
    return Response.json(await findAnything(text), { headers: { 'cache-control': 'no-store' } });
  } catch (error) {
    return jsonError(error);
  }
}
