'use client';

import { clsx } from 'clsx';
import { memo } from 'react';
import type { LikelyAnswer } from '@/core/answers/likely';
import { OUTCOME_WORDS, OUTCOMES, type Outcome } from '@/core/answers/outcome';
import { sure } from '@/core/sure';
import { HeardAnswer } from '../kit/heard-answer';
import { LIKELY_KEYS } from './run/keys';
import { playFooter as say } from './text';

const LOOK: Readonly<Record<Outcome, string>> = {
  'on-own': 'border-0 bg-green text-2xl font-bold text-card hover:bg-green-dark max-sm:col-span-3',
  'with-help': 'border-2 bg-card text-2xl font-bold hover:bg-paper max-sm:col-span-3',
  'not-yet': 'border bg-card hover:bg-paper max-sm:col-span-2',
  'no-reply': 'border bg-card hover:bg-paper max-sm:col-span-2',
  'does-not-count': 'border bg-card hover:bg-paper max-sm:col-span-2',
};

interface MarksProps {
  readonly who: string;
  readonly likely: readonly LikelyAnswer[];
  readonly covered: boolean;
  /** No help in a check-in. */
  readonly noHelp: boolean;
  readonly onMark: (outcome: Outcome, likely?: LikelyAnswer) => unknown;
  /** Anything else they said; absent where it is judged by ear. */
  readonly onElse: (() => void) | undefined;
}

/** The line shows which sound was lost: the note need not say it again. */
const isLoss = ({ slip, line }: LikelyAnswer): boolean => slip === 'lost-sound' && line !== undefined;

/** The likely answers above the five outcomes: everything is one tap. */
export const Marks = memo(function Marks({ who, likely, covered, noHelp, onMark, onElse }: MarksProps) {
  return (
    <>
      <div className="mb-1 flex items-center gap-2">
        <div
          role="group"
          aria-label={say.said(who)}
          className="-mx-2 flex min-h-[74px] min-w-0 flex-1 items-center gap-2 overflow-x-auto p-1"
        >
          {likely.map((answer, i) => (
            <button
              key={i}
              type="button"
              onClick={() => onMark(answer.outcome, answer)}
              className={clsx(
                'flex min-h-16 shrink-0 items-center gap-2.5 rounded-3xl border border-line-strong',
                'bg-paper px-4 hover:border-ink',
              )}
            >
              {!covered && (
                <span className="flex text-2xl leading-none">
                  <HeardAnswer {...answer} />
                </span>
              )}
              <span className={clsx('text-muted', !covered && isLoss(answer) && 'sr-only')}>{answer.note}</span>
              <kbd className="hidden font-sans text-muted 2xl:inline">{sure(LIKELY_KEYS[i]).toUpperCase()}</kbd>
            </button>
          ))}
        </div>
        {onElse && (
          <button
            type="button"
            onClick={onElse}
            className="min-h-16 shrink-0 rounded-full border border-dashed border-line-strong px-4 hover:border-ink"
          >
            <span className="max-sm:sr-only">{say.somethingElse}</span>
            <span aria-hidden="true" className="sm:hidden">
              …
            </span>
          </button>
        )}
      </div>
      <div
        className={clsx(
          'grid grid-cols-6 gap-3',
          noHelp ? 'sm:grid-cols-[2fr_2fr_1fr_1fr]' : 'sm:grid-cols-[2fr_2fr_1fr_1fr_1fr]',
        )}
      >
        {OUTCOMES.map((outcome, i) =>
          noHelp && outcome === 'with-help' ? null : (
            <button
              key={outcome}
              type="button"
              onClick={() => onMark(outcome)}
              className={clsx(
                'flex min-h-20 items-center justify-center gap-3 rounded-2xl border-ink px-2',
                'font-word leading-tight',
                LOOK[outcome],
              )}
            >
              {OUTCOME_WORDS[outcome]}
              <kbd className={`font-sans text-base ${i === 0 ? '' : 'text-muted'} max-md:hidden`}>{i + 1}</kbd>
            </button>
          ),
        )}
      </div>
    </>
  );
});

interface CallingProps {
  readonly people: readonly { readonly id: string; readonly turns: number }[];
  readonly nameOf: (id: string) => string;
  readonly onChoose: (id: string) => void;
}

/** Who wants to? The names, those with the fewest turns told apart by how many they had. */
export function Calling({ people, nameOf, onChoose }: CallingProps) {
  return (
    <div>
      <p className="mb-2 font-word text-2xl font-bold">{say.wantsTapAnswers}</p>
      <ul
        tabIndex={0}
        aria-label={say.whoAnswers}
        className="flex max-h-[9.5rem] flex-wrap gap-2.5 overflow-y-auto p-1"
      >
        {people.map(({ id, turns }) => (
          <li key={id}>
            <button
              type="button"
              onClick={() => onChoose(id)}
              className={clsx(
                'flex min-h-16 items-center gap-2 rounded-full border border-line-strong bg-card px-5',
                'font-word text-2xl hover:border-ink',
              )}
            >
              {nameOf(id)} <span className="font-sans text-base text-muted">{turns}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
