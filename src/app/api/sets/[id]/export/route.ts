import { z } from 'zod';
import { jsonError } from '@/app/answer';
import { exportSet } from '@/server/word-sets';

const TYPES = { csv: 'text/csv; charset=utf-8', json: 'application/json; charset=utf-8' } as const;

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const format = z.enum(['csv', 'json']).safeParse(new URL(request.url).searchParams.get('format'));
  if (!format.success) return Response.json({ error: 'Ask for format=csv or format=json.' }, { status: 400 });
  try {
    const { text, name } = await exportSet((await params).id, format.data);
    return new Response(text, {
      headers: { 'content-type': TYPES[format.data], 'content-disposition': `attachment; filename="word-set.${format.data}"; filename*=UTF-8''${encodeURIComponent(name)}` },
    });
  } catch (error) {
    return jsonError(error);
  }
}
