'use client';

import { useActionState } from 'react';
import { start } from '@/actions/sessions';
import { ErrorMessage } from '../kit/message';

interface StartFormProps {
  readonly groupId: string;
  readonly label: string;
  readonly set: {
    readonly task: string;
    readonly words: readonly string[];
    readonly model: string | null;
    readonly spares: readonly string[];
  };
}

/** One tap starts a session with these words. */
export function StartForm({ groupId, label, set }: StartFormProps) {
  const [state, action, running] = useActionState(start, {});
  return (
    <form action={action}>
      <input type="hidden" name="groupId" value={groupId} />
      <input type="hidden" name="task" value={set.task} />
      <input type="hidden" name="words" value={set.words.join(',')} />
      <input type="hidden" name="model" value={set.model ?? ''} />
      <input type="hidden" name="spares" value={set.spares.join(',')} />
      <button type="submit" className="action min-h-16 w-full px-8 text-xl" disabled={running || !set.words.length}>
        {label}
      </button>
      <ErrorMessage className="mt-3">{state.error}</ErrorMessage>
    </form>
  );
}
