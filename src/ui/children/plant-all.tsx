'use client';

import { useState, useTransition } from 'react';
import { plantGroup } from '@/actions/groups';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { plantButton as say } from './text';

/** A plant for everyone who has none, in one tap. */
export function PlantAll({ groupId }: { readonly groupId: string }) {
  const [error, setError] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  return (
    <>
      <Button
        disabled={busy}
        onClick={() =>
          begin(async () => {
            const state = await plantGroup(groupId).catch(() => ({ error: say.serverCannotReached }));
            setError(state.error ?? null);
          })
        }
      >
        {say.everyone}
      </Button>
      {error && <ErrorMessage>{error}</ErrorMessage>}
    </>
  );
}
