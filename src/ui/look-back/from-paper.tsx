'use client';

import { useActionState } from 'react';
import type { FormState } from '@/actions/answer';
import { openPaper } from '@/actions/papers';
import { Button } from '../kit/button';
import { useKeptText } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

/** The way in for a session that was marked on paper: its number. */
export function FromPaper() {
  const [state, act, busy] = useActionState(
    async (_: FormState, form: FormData): Promise<FormState> =>
      openPaper({}, form).catch(unreached('The number is still here.')),
    {},
  );
  const { text, setText, done } = useKeptText('grid number');
  return (
    <form action={act} className="mb-6" onSubmit={() => done(text)}>
      <label htmlFor="paper-number" className="mb-1.5 block">
        Marked on paper? Type the grid number:
      </label>
      <div className="flex gap-3">
        <input
          id="paper-number"
          name="number"
          className="field max-w-32"
          inputMode="numeric"
          autoComplete="off"
          placeholder="such as 12"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <Button type="submit" disabled={busy}>
          Type it in
        </Button>
      </div>
      <ErrorMessage className="mt-3">{state?.error}</ErrorMessage>
    </form>
  );
}
