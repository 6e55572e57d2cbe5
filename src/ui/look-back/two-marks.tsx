'use client';

import { useState, useTransition } from 'react';
import { v7 } from 'uuid';
import { correct } from '@/actions/sessions';
import { OUTCOME_WORDS } from '@/core/answers/outcome';
import type { LookBack } from '@/server/sessions/look-back';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

type Twice = LookBack['twice'][number];

/** A mark in words. Example: `Wren, not yet (JT)`. */
const inWords = ({ child, outcome, by }: Twice['counts']): string =>
  `${child ?? 'everyone'}, ${OUTCOME_WORDS[outcome].toLowerCase()}${by ? ` (${by})` : ''}`;

interface TwoMarksProps {
  readonly sessionId: string;
  readonly twice: readonly Twice[];
}

/** Turns that two devices marked: whose, what each said, and the other to choose. */
export function TwoMarks({ sessionId, twice }: TwoMarksProps) {
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  if (!twice.length) return null;
  const take = ({ answerId, other: { childId, outcome } }: Twice): void =>
    begin(async () => {
      const change = { answerId, newId: v7(), outcome, why: 'other', childId };
      const state = await correct(sessionId, change).catch(unreached('Nothing was changed.'));
      setError(state.error ?? null);
    });
  return (
    <div className="mt-4 border-l-4 border-marigold pl-4">
      <h3 className="text-lg">Marked on two devices</h3>
      <ul>
        {twice.map((turn) => (
          <li key={turn.answerId} className="flex flex-wrap items-center gap-x-3">
            <span>
              <b className="font-word">{turn.label}</b>: {inWords(turn.counts)} counts, as the later mark.
            </span>
            <Button kind="quiet" disabled={running} onClick={() => take(turn)}>
              Use the other: {inWords(turn.other)}
            </Button>
          </li>
        ))}
      </ul>
      <ErrorMessage>{error}</ErrorMessage>
    </div>
  );
}
