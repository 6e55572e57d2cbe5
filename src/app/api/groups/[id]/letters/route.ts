import { download } from '@/app/download';
import { lettersCsv } from '@/server/words/letters';

/** The spellings a group was taught, as CSV that can be pasted in again. */
export const GET = async (_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  download(async () => lettersCsv((await params).id), 'text/csv; charset=utf-8');
