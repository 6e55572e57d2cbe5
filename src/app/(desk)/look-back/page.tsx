import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { behind } from '@/server/record/rebuild-queue';
import { listSessions } from '@/server/sessions/look-back';
import { Link } from '@/ui/kit/link';
import { Empty } from '@/ui/kit/message';
import { FromPaper } from '@/ui/look-back/from-paper';
import { SessionLines } from '@/ui/look-back/session-lines';

export const metadata: Metadata = { title: 'Look back' };

export default guarded(async () => {
  const group = await currentGroup();
  const sessions = await listSessions(group.id);
  // While earlier sessions are still being read, nobody can say that there are none.
  const none = sessions.length === 0 && (await behind()) === 0;
  return (
    <>
      <h1 className="mb-5 text-4xl">What {group.name} played</h1>
      <FromPaper />
      {sessions.length > 0 && <SessionLines sessions={sessions} />}
      {none && (
        <Empty title="No sessions yet">
          Every session appears here, with who answered what.{' '}
          <Link className="underline underline-offset-4" href="/">
            Start one from Today.
          </Link>
        </Empty>
      )}
    </>
  );
});
