'use client';

import { useState, useTransition } from 'react';
import { judgeTyped } from '@/app/plan-actions';
import { OUTCOME_WORDS } from '@/core/answers/outcome';
import type { Judged } from '@/server/judge-said';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';

interface SaidProps {
  readonly sessionId: string;
  readonly round: number;
  readonly itemKey: string;
  readonly who: string;
  readonly onMark: (judged: Judged) => void;
  readonly onClose: () => void;
}

/** What was said, typed; the core says what to make of it, the adult marks. */
export function SaidDialog({ sessionId, round, itemKey, who, onMark, onClose }: SaidProps) {
  const [typed, setTyped] = useState('');
  const [judged, setJudged] = useState<Judged | null>(null);
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  const look = (): void => begin(async () => {
    const answer = await judgeTyped(sessionId, round, itemKey, typed).catch(() => null);
    setJudged(answer?.ok ? answer.value : null);
    setError(answer === null ? 'The server cannot be reached. Mark it by ear; what you typed is still here.' : answer.ok ? '' : answer.error);
  });
  return (
    <Dialog open onOpenChange={onClose} title={`${who} said`} description="Type it as a word, real or made up. It is judged by its sounds, not its letters.">
      <form onSubmit={(event) => { event.preventDefault(); look(); }} className="flex gap-2">
        <label className="min-w-0 flex-1"><span className="sr-only">What was said</span>
          <input className="field font-word text-2xl" autoFocus autoComplete="off" autoCapitalize="off" spellCheck={false} maxLength={24} value={typed} onChange={(e) => { setTyped(e.target.value); setJudged(null); }} />
        </label>
        <button type="submit" className="plain shrink-0" disabled={busy || !typed.trim()}>Judge it</button>
      </form>
      <div aria-live="polite" className="mt-4 min-h-12">
        {error && <ErrorMessage>{error}</ErrorMessage>}
        {judged && <p className="text-xl"><span className="font-word font-bold">{judged.labels}</span> <span className="block">{judged.why}</span></p>}
      </div>
      {judged && <button type="button" className="action mt-3 w-full" onClick={() => onMark(judged)}>{itemKey.startsWith('/') ? (judged.outcome === 'on-own' ? 'Put it on the list' : 'Leave it') : `Mark it: ${OUTCOME_WORDS[judged.outcome]}`}</button>}
    </Dialog>
  );
}
