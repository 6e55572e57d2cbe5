'use client';

import { useState, useTransition } from 'react';
import { v7 } from 'uuid';
import { correct } from '@/app/actions';
import { HELP_WORDS, OUTCOME_WORDS, OUTCOMES, SLIP_WORDS, type Outcome } from '@/core/answers/outcome';
import type { LookBackAnswer } from '@/server/look-back';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { OutcomeMark } from '../kit/outcome-mark';

/** One answer; a tap opens what was heard and lets the mark be put right. */
export function AnswerButton({ sessionId, answer, labels }: { sessionId: string; answer: LookBackAnswer; labels: readonly string[] }) {
  const [open, setOpen] = useState(false);
  const [note, setNote] = useState(answer.note ?? '');
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const who = answer.child ?? 'Everyone together';
  const put = (outcome: Outcome): void =>
    begin(async () => {
      const state = await correct(sessionId, { answerId: answer.id, newId: v7(), outcome, note });
      setError(state.error ?? null);
      if (!state.error) setOpen(false);
    });
  const slipped = answer.missed.map((i) => `/${labels[i] ?? ''}/`).join(' ');
  return (
    <>
      <button
        type="button" onClick={() => setOpen(true)}
        className="flex min-h-12 items-center gap-2 rounded-lg px-2.5 text-left hover:bg-card"
      >
        <span className="sr-only">{who}, </span>
        <OutcomeMark outcome={answer.outcome} label={Boolean(answer.slip)} />
        <span className="font-word text-lg">{answer.label}</span>
        <span className="text-[0.95rem] text-muted">
          {answer.slip ? SLIP_WORDS[answer.slip] : OUTCOME_WORDS[answer.outcome].toLowerCase()}
          {answer.before.length > 0 && ' · corrected'}{answer.note && ' · note'}
        </span>
        <span className="sr-only">: put right</span>
      </button>
      <Dialog open={open} onOpenChange={setOpen} title={`${who}: ${answer.label}`}>
        <dl className="mb-5 grid grid-cols-[9rem_1fr] gap-y-1 text-muted">
          <dt>Marked</dt><dd className="text-ink">{OUTCOME_WORDS[answer.outcome]}{answer.slip && `, ${SLIP_WORDS[answer.slip]}`}</dd>
          {slipped && <><dt>Slipped</dt><dd className="font-word text-ink">{slipped}</dd></>}
          {answer.helps.length > 0 && <><dt>Help</dt><dd className="text-ink">{answer.helps.map((h) => HELP_WORDS[h]).join(', ')}</dd></>}
          {answer.thinkMs !== null && <><dt>Time to mark</dt><dd className="text-ink">{(answer.thinkMs / 1000).toFixed(0)} s (it times the adult too)</dd></>}
          {answer.before.length > 0 && <><dt>Before</dt><dd className="text-ink">{answer.before.map((b) => OUTCOME_WORDS[b.outcome]).join(', then ')}</dd></>}
        </dl>
        <label className="mb-5 block">
          <span className="mb-1 block text-muted">Note</span>
          <textarea className="field" rows={2} maxLength={500} value={note} onChange={(e) => setNote(e.target.value)} />
        </label>
        <h3 className="mb-2 text-lg">It should be</h3>
        <div className="grid grid-cols-2 gap-2.5 sm:grid-cols-3">
          {OUTCOMES.map((outcome) => (
            <button key={outcome} type="button" disabled={running} className={`plain min-h-14 ${outcome === answer.outcome ? 'border-2 border-ink font-bold' : ''}`} onClick={() => put(outcome)}>
              <OutcomeMark outcome={outcome} label={false} /> {OUTCOME_WORDS[outcome]}
            </button>
          ))}
        </div>
        {error && <div className="mt-4"><ErrorMessage>{error}</ErrorMessage></div>}
      </Dialog>
    </>
  );
}
