import { download } from '@/app/download';
import { childDownload, isChildForm } from '@/server/children/child-file';
import { note } from '@/server/whole/journal';

/** Everything about a child as a file: `?as=csv` or `?as=json`. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const as = new URL(request.url).searchParams.get('as') ?? 'json';
  if (!isChildForm(as)) return Response.json({ error: 'Choose ?as=csv or ?as=json.' }, { status: 400 });
  return download(
    async () => {
      const made = await childDownload((await params).id, as);
      await note('child-file-taken').catch(() => undefined);
      return made;
    },
    as === 'csv' ? 'text/csv; charset=utf-8' : 'application/json; charset=utf-8',
  );
}
