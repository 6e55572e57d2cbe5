import type { Metadata } from 'next';
import Link from 'next/link';
import { currentGroup } from '@/actions/current-group';
import { guarded } from '@/app/guarded';
import { listSessions } from '@/server/sessions/look-back';
import { Empty } from '@/ui/kit/message';
import { SessionLines } from '@/ui/look-back/session-lines';

export const metadata: Metadata = { title: 'Look back' };

export default guarded(async () => {
  const group = await currentGroup();
  const sessions = await listSessions(group.id);
  return (
    <>
      <h1 className="mb-5 text-4xl">What {group.name} played</h1>
      {sessions.length ? (
        <SessionLines sessions={sessions} />
      ) : (
        <Empty title="No session yet">
          Every session stands here with who answered what.{' '}
          <Link className="underline underline-offset-4" href="/">
            Start one from Today.
          </Link>
        </Empty>
      )}
    </>
  );
});
