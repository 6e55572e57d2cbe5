import { format } from 'date-fns';
import { jsonError } from '@/app/json-error';
import { toCsv } from '@/core/formats/session-export';
import { exportOf, lookBack } from '@/server/sessions/look-back';

const FORMS = {
  csv: { type: 'text/csv; charset=utf-8', write: toCsv },
  json: {
    type: 'application/json; charset=utf-8',
    write: (session: ReturnType<typeof exportOf>) => `${JSON.stringify(session, null, 2)}\n`,
  },
} as const;

/** A session as a file: `?as=csv` or `?as=json`. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  try {
    const as = new URL(request.url).searchParams.get('as') ?? 'json';
    if (!Object.hasOwn(FORMS, as)) return Response.json({ error: 'Choose ?as=csv or ?as=json.' }, { status: 400 });
    const { type, write } = FORMS[as as keyof typeof FORMS];
    const session = await lookBack((await params).id);
    const name = `bouncy-echo-${session.session.title
      .replace(/[^A-Za-z0-9]+/g, '-')
      .toLowerCase()
      .replace(/^-|-$/g, '')}-${format(session.session.startedAt, 'yyyy-MM-dd')}.${as}`;
    return new Response(write(exportOf(session)), {
      headers: {
        'content-type': type,
        'content-disposition': `attachment; filename="${name}"`,
        'cache-control': 'no-store',
      },
    });
  } catch (error) {
    return jsonError(error);
  }
}
