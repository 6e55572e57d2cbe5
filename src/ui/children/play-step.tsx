'use client';

import { useState, useTransition } from 'react';
import { playStep } from '@/actions/sessions';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

interface PlayStepProps {
  readonly groupId: string;
  readonly step: {
    readonly ladder: string;
    readonly rung: string;
    readonly pattern?: string | null;
    readonly check?: string | null;
    /** Each child their own step of it. */
    readonly own?: boolean;
  };
  /** What is done in it, for who cannot see what stands beside the button. */
  readonly does: string;
  readonly childIds: readonly string[];
  readonly name: string;
  readonly wide?: boolean;
  /** The one act the screen is for. */
  readonly main?: boolean;
}

/** One tap into a ready session of a step with these children. */
export function PlayStep({ groupId, step, does, childIds, name, wide = false, main = false }: PlayStepProps) {
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const { ladder, rung, pattern, check, own } = step;
  const play = (): void =>
    begin(async () => {
      const state = await playStep(groupId, { ladder, rung, pattern, check, own }, [...childIds]).catch(unreached());
      setError(state?.error ?? null);
    });
  return (
    <div>
      <Button
        kind={main ? 'action' : 'plain'}
        className={wide ? 'min-h-14 w-full' : 'px-4'}
        disabled={running}
        onClick={play}
      >
        {name}
        <span className="sr-only">: {does}</span>
      </Button>
      <ErrorMessage className="mt-2">{error}</ErrorMessage>
    </div>
  );
}
