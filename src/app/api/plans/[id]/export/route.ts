import { download } from '@/app/download';
import { planFile } from '@/server/plans/plans';

export const GET = async (_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  download(async () => planFile((await params).id), 'application/json; charset=utf-8');
