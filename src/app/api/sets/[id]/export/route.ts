import { z } from 'zod';
import { download } from '@/app/download';
import { exportSet } from '@/server/words/word-sets';

const TYPES = { csv: 'text/csv; charset=utf-8', json: 'application/json; charset=utf-8' } as const;

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const format = z.enum(['csv', 'json']).safeParse(new URL(request.url).searchParams.get('format'));
  if (!format.success) return Response.json({ error: 'Ask for format=csv or format=json.' }, { status: 400 });
  return download(async () => exportSet((await params).id, format.data), TYPES[format.data]);
}
