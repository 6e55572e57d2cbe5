'use client';

import { clsx } from 'clsx';
import { useState, useTransition } from 'react';
import { v7 } from 'uuid';
import { correct } from '@/actions/sessions';
import { HELP_WORDS, OUTCOME_WORDS, OUTCOMES, SLIP_WORDS, STANDING_WORDS, type Outcome } from '@/core/answers/outcome';
import type { AccentId } from '@/core/phonology/accents';
import { labelOf } from '@/core/phonology/sounds';
import { WHY_WORDS, type Why } from '@/core/sessions/log';
import type { LookBackAnswer } from '@/server/sessions/look-back';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { HeardAnswer } from '../kit/heard-answer';
import { OutcomeMark } from '../kit/outcome-mark';
import { Select } from '../kit/select';
import { unreached } from '../kit/unreached';

const REASONS: readonly Why[] = ['mis-tap', 'heard-again', 'other-child', 'other'];

interface AnswerProps {
  readonly sessionId: string;
  readonly answer: LookBackAnswer;
  readonly accent: AccentId;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly onCorrected: (corrected: Corrected) => void;
}

/** A correction that was just made, and what it is called. */
export interface Corrected {
  /** The id of the answer as it stands now. */
  readonly answerId: string;
  readonly text: string;
}

/** What a tile shows in one glance: what slipped, else the mark alone. */
function gist({ slip, selfCorrected }: LookBackAnswer): string {
  if (slip) return SLIP_WORDS[slip];
  return selfCorrected ? 'corrected themselves' : '';
}

/** All that was noted of an answer, by name; empty where there is nothing to say. */
function factsOf(answer: LookBackAnswer, accent: AccentId): readonly (readonly [string, string])[] {
  const slipped = answer.missed
    .map((i) => answer.sounds[i])
    .filter((ipa) => ipa !== undefined)
    .map((ipa) => `/${labelOf(ipa, accent).label}/`)
    .join(' ');
  return [
    ['Marked', `${OUTCOME_WORDS[answer.outcome]}${answer.slip ? `, ${SLIP_WORDS[answer.slip]}` : ''}`],
    ['Said', answer.heard ?? ''],
    ['Slipped', slipped],
    ['Help', answer.helps.map((h) => HELP_WORDS[h]).join(', ')],
    [
      'Also',
      [
        answer.selfCorrected ? 'corrected themselves' : '',
        answer.shown ? 'pointed, not spoken' : '',
        answer.differs ? 'different from the group' : '',
        answer.standing === 'fresh' ? '' : STANDING_WORDS[answer.standing],
        answer.partner ? `asked by ${answer.partner}` : '',
      ]
        .filter(Boolean)
        .join(', '),
    ],
    [
      'Time to mark',
      answer.thinkMs === null ? '' : `${(answer.thinkMs / 1000).toFixed(0)} s (your own tapping time is in this too)`,
    ],
    ['Marked by', answer.markedBy ?? ''],
    [
      'Before',
      answer.before.map((b) => `${OUTCOME_WORDS[b.outcome]}${b.why ? ` (${WHY_WORDS[b.why]})` : ''}`).join(', then '),
    ],
  ];
}

/** One answer; a tap opens what was heard and lets the mark be put right, with the reason. */
export function AnswerButton({ sessionId, answer, accent, people, onCorrected }: AnswerProps) {
  const [open, setOpen] = useState(false);
  const [note, setNote] = useState(answer.note ?? '');
  const [why, setWhy] = useState<Why>('mis-tap');
  const [childId, setChildId] = useState(answer.childId);
  const [error, setError] = useState<string | null>(null);
  // Once it is corrected, what was filled in belongs to the answer before.
  const [of, setOf] = useState(answer.id);
  if (of !== answer.id) {
    setOf(answer.id);
    setNote(answer.note ?? '');
    setWhy('mis-tap');
    setChildId(answer.childId);
  }
  const [running, begin] = useTransition();
  const who = answer.child ?? 'Everyone together';
  const put = (outcome: Outcome): void =>
    begin(async () => {
      const newId = v7();
      const state = await correct(sessionId, {
        answerId: answer.id,
        newId,
        outcome,
        note,
        why,
        ...(why === 'other-child' ? { childId } : {}),
      }).catch(unreached('Nothing was changed.'));
      setError(state.error ?? null);
      if (state.error) return;
      setOpen(false);
      onCorrected({ answerId: newId, text: `${who}, ${answer.label}: now ${OUTCOME_WORDS[outcome].toLowerCase()}.` });
    });
  const facts = factsOf(answer, accent);
  const corrected = answer.before.some((b) => b.why !== 'detail');
  return (
    <>
      <Glance setOpen={setOpen} who={who} answer={answer} corrected={corrected} />
      <Dialog open={open} onOpenChange={setOpen} title={`${who}: ${answer.label}`}>
        <Facts facts={facts} />
        <h3 className="mb-2 text-lg">What it should be</h3>
        <div className="grid grid-cols-2 gap-2.5 sm:grid-cols-3">
          {OUTCOMES.map((outcome) => (
            <button
              key={outcome}
              type="button"
              disabled={running}
              className={`plain min-h-14 ${outcome === answer.outcome ? 'border-2 border-ink font-bold' : ''}`}
              onClick={() => put(outcome)}
            >
              <OutcomeMark outcome={outcome} label={false} /> {OUTCOME_WORDS[outcome]}
            </button>
          ))}
        </div>
        <div className="mt-5">
          <Reason people={people} why={why} answer={answer} setWhy={setWhy} childId={childId} setChildId={setChildId} />
        </div>
        <label className="block">
          <span className="mb-1 block text-muted">Note</span>
          <textarea className="field" rows={2} maxLength={500} value={note} onChange={(e) => setNote(e.target.value)} />
        </label>
        <p className="mt-1 text-muted">
          If you give a reason or write a note, do that first: we keep them with the mark you tap.
        </p>
        <ErrorMessage className="mt-4">{error}</ErrorMessage>
      </Dialog>
    </>
  );
}

interface GlanceProps {
  readonly setOpen: (next: boolean) => void;
  readonly who: string;
  readonly answer: LookBackAnswer;
  readonly corrected: boolean;
}

/** An answer in one glance. */
function Glance({ setOpen, who, answer, corrected }: GlanceProps) {
  return (
    <button
      type="button"
      onClick={() => setOpen(true)}
      className={clsx(
        'flex min-h-16 w-full flex-col items-start gap-0.5 rounded-lg border border-line bg-card px-2.5 py-1.5',
        'text-left hover:border-ink',
      )}
    >
      <span className="sr-only">{who}, </span>
      <span className="flex w-full flex-wrap items-center gap-x-2">
        <OutcomeMark outcome={answer.outcome} />
        <span className="min-w-0 font-word text-lg leading-tight font-bold wrap-anywhere"> {answer.label} </span>
      </span>
      <span className="leading-tight">
        {answer.heardAs && answer.outcome !== 'on-own' ? (
          <HeardAnswer {...answer.heardAs} />
        ) : (
          <span className="font-word">{gist(answer)}</span>
        )}
        {(corrected || answer.note) && (
          <span className="block text-[0.9rem] text-muted">
            {[corrected ? 'corrected' : '', answer.note ? 'note' : ''].filter(Boolean).join(' · ')}
          </span>
        )}
      </span>
      <span className="sr-only">: correct this</span>
    </button>
  );
}

/** All that was noted of an answer. */
function Facts({ facts }: { readonly facts: readonly (readonly [string, string])[] }) {
  return (
    <dl className="mb-5 grid grid-cols-[9rem_1fr] gap-y-1 text-muted">
      {facts
        .filter(([, text]) => text)
        .map(([name, text]) => (
          <div key={name} className="contents">
            <dt>{name}</dt>
            <dd className={`text-ink ${name === 'Said' || name === 'Slipped' ? 'font-word' : ''}`}>{text}</dd>
          </div>
        ))}
    </dl>
  );
}

interface ReasonProps {
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly why: Why;
  readonly answer: LookBackAnswer;
  readonly setWhy: (next: Why) => void;
  readonly childId: string | null;
  readonly setChildId: (next: string | null) => void;
}

/** Why a mark is put right, and whose answer it was. */
function Reason({ people, why, answer, setWhy, childId, setChildId }: ReasonProps) {
  return (
    <fieldset className="mb-5">
      <legend className="mb-1 text-muted">Why you’re correcting it</legend>
      <div className="flex flex-wrap gap-2">
        {REASONS.filter((r) => r !== 'other-child' || people.length > 1).map((reason) => (
          <label
            key={reason}
            className={clsx(
              'flex min-h-12 cursor-pointer items-center rounded-full border px-4',
              'has-focus-visible:outline-3 has-focus-visible:outline-slate',
              why === reason ? 'border-ink bg-ink text-card' : 'border-line-strong',
            )}
          >
            <input
              type="radio"
              name={`why-${answer.id}`}
              className="sr-only"
              checked={why === reason}
              onChange={() => setWhy(reason)}
            />
            {WHY_WORDS[reason]}
          </label>
        ))}
      </div>
      {why === 'other-child' && (
        <Select
          className="mt-2"
          label="Which child was it?"
          value={childId ?? ''}
          onChange={(id) => setChildId(id || null)}
          options={people.map((c) => [c.id, c.name])}
        />
      )}
    </fieldset>
  );
}
