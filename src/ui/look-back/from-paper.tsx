'use client';

import { useActionState } from 'react';
import { openPaper } from '@/actions/papers';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';

/** The way in for a session that was marked on paper: its number. */
export function FromPaper() {
  const [{ error, kept }, act, busy] = useActionState(openPaper, {});
  return (
    <form action={act} className="mb-6">
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
          defaultValue={kept ?? ''}
        />
        <Button type="submit" disabled={busy}>
          Type it in
        </Button>
      </div>
      <ErrorMessage className="mt-3">{error}</ErrorMessage>
    </form>
  );
}
