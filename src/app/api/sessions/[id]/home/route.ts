import { download } from '@/app/download';
import { homePaper } from '@/server/sessions/home-page';

/** The page for families as plain text. */
export const GET = async (_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> =>
  download(async () => {
    const { text, group, day } = await homePaper((await params).id);
    return { text, name: `what we played, ${group}, ${day}.txt` };
  }, 'text/plain; charset=utf-8');
