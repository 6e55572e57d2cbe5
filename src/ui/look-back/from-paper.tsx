'use client';

import { useActionState } from 'react';
import { openPaper } from '@/actions/papers';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { fromPaper as say } from './text';

/** The way in for a session that was marked on paper: its number. */
export function FromPaper() {
  const [{ error, kept }, act, busy] = useActionState(openPaper, {});
  return (
    <form action={act} className="mb-6">
      <label htmlFor="paper-number" className="mb-1.5 block">
        {say.marked}
      </label>
      <div className="flex gap-3">
        <input
          id="paper-number"
          name="number"
          className="field max-w-32"
          inputMode="numeric"
          autoComplete="off"
          placeholder={say.number}
          defaultValue={kept ?? ''}
        />
        <Button type="submit" disabled={busy}>
          {say.typeItIn}
        </Button>
      </div>
      {error && (
        <div className="mt-3">
          <ErrorMessage>{error}</ErrorMessage>
        </div>
      )}
    </form>
  );
}
