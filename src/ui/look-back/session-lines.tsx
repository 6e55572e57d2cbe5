import { format } from 'date-fns';
import type { SessionLine } from '@/server/sessions/look-back';
import { Link } from '../kit/link';
import { talliedWords } from '../kit/tally';

/** Sessions on hairlines, newest first. */
export function SessionLines({ sessions }: { sessions: readonly SessionLine[] }) {
  return (
    <ul className="divide-y divide-line border-y border-line">
      {sessions.map((session) => (
        <li key={session.id}>
          <Link href={`/look-back/${session.id}`} className="grid gap-x-6 py-3 hover:bg-card sm:grid-cols-[9rem_1fr]">
            <span className="text-muted">{format(session.startedAt, 'EEE d MMM, HH:mm')}</span>
            <span>
              <span className="font-word text-lg font-bold">{session.title}</span>
              <span className="ml-3 text-muted">
                {talliedWords(session.tally)}
                {session.finished ? '' : ' · not finished'}
                {session.paper === null ? '' : ` · from paper, grid ${session.paper}`}
              </span>
              <span className="block text-muted">{session.words.join(', ')}</span>
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
