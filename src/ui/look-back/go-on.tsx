'use client';

import { Play } from 'lucide-react';
import { useActionState } from 'react';
import { reopen } from '@/actions/sessions';
import { Link } from '../kit/link';

interface GoOnProps {
  readonly sessionId: string;
  readonly finished: boolean;
}

/** Goes on with a session: it is still open, or was finished a moment ago. */
export function GoOn({ sessionId, finished }: GoOnProps) {
  const [{ error }, act, busy] = useActionState(reopen, {});
  if (!finished)
    return (
      <Link href={`/play/${sessionId}`} className="plain inline-flex items-center gap-2">
        <Play aria-hidden="true" size={18} /> Carry on with this session
      </Link>
    );
  return (
    <form action={act}>
      <input type="hidden" name="session" value={sessionId} />
      <button type="submit" className="plain inline-flex items-center gap-2" disabled={busy}>
        <Play aria-hidden="true" size={18} /> Not finished yet? Carry on
      </button>
      {error && (
        <p role="alert" className="mt-2 text-red">
          {error}
        </p>
      )}
    </form>
  );
}
