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
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { HeardAnswer } from '../kit/heard-answer';
import { useKeptForm } from '../kit/kept-form';
import { OutcomeMark } from '../kit/outcome-mark';
import { unreached } from '../kit/unreached';

const REASONS: readonly Why[] = ['mis-tap', 'heard-again', 'other'];

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
    ['Missed', slipped],
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

/** One answer; a tap opens what was heard and lets the mark be put right, or given to whose it was. */
export function AnswerButton(props: AnswerProps) {
  const { answer, accent } = props;
  const [open, setOpen] = useState(false);
  const who = answer.child ?? 'Everyone together';
  return (
    <>
      <Glance setOpen={setOpen} who={who} answer={answer} corrected={answer.before.some((b) => b.why !== 'detail')} />
      <Dialog open={open} onOpenChange={setOpen} title={`${who}: ${answer.label}`}>
        <Facts facts={factsOf(answer, accent)} />
        {open && <Correction {...props} who={who} close={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}

/** What is put right: the mark, or whose answer it was. */
interface Change {
  readonly outcome: Outcome;
  readonly why: Why;
  readonly childId?: string;
  /** What it is now, in words. */
  readonly now: string;
}

type CorrectionProps = AnswerProps & { readonly who: string; readonly close: () => void };

function Correction({ sessionId, answer, people, onCorrected, who, close }: CorrectionProps) {
  const usual: { note: string; why: Why } = { note: answer.note ?? '', why: 'mis-tap' };
  const { form, values, done } = useKeptForm(`answer ${answer.id}`, usual);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const put = ({ now, ...change }: Change): void =>
    begin(async () => {
      const newId = v7();
      const asked = { answerId: answer.id, newId, note: values.note, ...change };
      const state = await correct(sessionId, asked).catch(unreached('Nothing was changed.'));
      setError(state.error ?? null);
      if (state.error) return;
      done(usual);
      close();
      onCorrected({ answerId: newId, text: `${who}, ${answer.label}: now ${now}.` });
    });
  const others = people.filter((p) => p.id !== answer.childId);
  return (
    <>
      <h3 className="mb-2 text-lg">What it should be</h3>
      <div className="grid grid-cols-2 gap-2.5 sm:grid-cols-3">
        {OUTCOMES.map((outcome) => (
          <button
            key={outcome}
            type="button"
            disabled={running}
            className={`plain min-h-14 ${outcome === answer.outcome ? 'border-2 border-ink font-bold' : ''}`}
            onClick={() => put({ outcome, why: values.why, now: OUTCOME_WORDS[outcome].toLowerCase() })}
          >
            <OutcomeMark outcome={outcome} label={false} /> {OUTCOME_WORDS[outcome]}
          </button>
        ))}
      </div>
      {answer.childId !== null && others.length > 0 && (
        <>
          <h3 className="mt-5 mb-2 text-lg">It was another child</h3>
          <div className="flex flex-wrap gap-2.5">
            {others.map(({ id, name }) => (
              <Button
                key={id}
                disabled={running}
                onClick={() =>
                  put({ outcome: answer.outcome, why: 'other-child', childId: id, now: `${name}’s answer` })
                }
              >
                {name}
              </Button>
            ))}
          </div>
        </>
      )}
      <div className="mt-5">
        <Reason
          name={`why-${answer.id}`}
          why={values.why}
          setWhy={(why) => form.setValue('why', why, { shouldDirty: true })}
        />
      </div>
      <label className="block">
        <span className="mb-1 block text-muted">Note</span>
        <textarea
          className="field"
          rows={2}
          maxLength={500}
          value={values.note}
          onChange={(e) => form.setValue('note', e.target.value, { shouldDirty: true })}
        />
      </label>
      <p className="mt-1 text-muted">
        If you give a reason or write a note, do that first: we keep them with what you tap.
      </p>
      <ErrorMessage className="mt-4">{error}</ErrorMessage>
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
            <dd className={`text-ink ${name === 'Said' || name === 'Missed' ? 'font-word' : ''}`}>{text}</dd>
          </div>
        ))}
    </dl>
  );
}

interface ReasonProps {
  readonly name: string;
  readonly why: Why;
  readonly setWhy: (next: Why) => void;
}

/** Why a mark is put right. */
function Reason({ name, why, setWhy }: ReasonProps) {
  return (
    <fieldset className="mb-5">
      <legend className="mb-1 text-muted">Why you’re correcting the mark</legend>
      <div className="flex flex-wrap gap-2">
        {REASONS.map((reason) => (
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
              name={name}
              className="sr-only"
              checked={why === reason}
              onChange={() => setWhy(reason)}
            />
            {WHY_WORDS[reason]}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
