import { download } from '@/app/download';
import { planCalendar } from '@/server/plans/plans';

export const GET = async (_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  download(async () => planCalendar((await params).id), 'text/calendar; charset=utf-8');
