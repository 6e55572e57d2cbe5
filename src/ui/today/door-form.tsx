'use client';

import { useActionState } from 'react';
import { playDoor } from '@/actions/sessions';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';

/** One tap plays one question each, for a queue. */
export function DoorForm({ groupId }: { readonly groupId: string }) {
  const [played, play, playing] = useActionState(playDoor, {});
  return (
    <form action={play} className="mt-6">
      <input type="hidden" name="groupId" value={groupId} />
      <Button type="submit" className="w-full" disabled={playing}>
        A quick one each while they wait
      </Button>
      <p className="mt-1 text-[0.95rem] text-muted">
        One quick question for each child, at their own step, while they queue for coats or the sink.
      </p>
      <ErrorMessage>{played.error}</ErrorMessage>
    </form>
  );
}
