import { download } from '@/app/download';
import { halfTermCsv } from '@/server/children/papers';

/** The counts of a group's half-term page, as CSV. */
export const GET = async (_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  download(async () => halfTermCsv((await params).id), 'text/csv; charset=utf-8');
