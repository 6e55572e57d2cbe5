'use client';

import { clsx } from 'clsx';
import { memo } from 'react';
import type { LikelyAnswer } from '@/core/answers/likely';
import { OUTCOME_WORDS, OUTCOMES, type Outcome } from '@/core/answers/outcome';
import { sure } from '@/core/sure';
import { HeardAnswer } from '../kit/heard-answer';
import { LIKELY_KEYS } from './run/keys';

const LOOK: Readonly<Record<Outcome, string>> = {
  'on-own': 'border border-transparent bg-green text-[1.25em] font-bold text-card hover:bg-green-dark',
  'with-help': 'border-2 bg-card text-[1.25em] font-bold hover:bg-paper',
  'not-yet': 'border bg-card hover:bg-paper',
  'no-reply': 'border bg-card hover:bg-paper',
  'does-not-count': 'border bg-card hover:bg-paper',
};

interface Marking {
  readonly onMark: (outcome: Outcome, likely?: LikelyAnswer) => unknown;
}

interface LikelyProps extends Marking {
  readonly who: string;
  readonly likely: readonly LikelyAnswer[];
  readonly covered: boolean;
  /** Anything else they said; absent where it is judged by ear. */
  readonly onElse: (() => void) | undefined;
}

/** The line shows which sound was lost: the note need not say it again. */
const isLoss = ({ slip, line }: LikelyAnswer): boolean => slip === 'lost-sound' && line !== undefined;

/** A key beside what it does, where keys are used. */
const Key = ({ children, className = '' }: { readonly children: string; readonly className?: string }) => (
  <kbd className={clsx('absolute top-1 right-2 hidden font-sans text-[0.7em] keyed:inline', className)}>{children}</kbd>
);

/** What they are likely to have said, each one tap, and anything else. */
export const Likely = memo(function Likely({ who, likely, covered, onMark, onElse }: LikelyProps) {
  return (
    <div
      role="group"
      aria-label={`${who} said`}
      className="fit likely"
      data-zone="likely"
      data-count={likely.length + (onElse ? 1 : 0)}
    >
      {likely.map((answer, i) => (
        <button
          key={i}
          type="button"
          data-box
          onClick={() => onMark(answer.outcome, answer)}
          className={clsx(
            'relative flex min-h-0 min-w-0 flex-wrap items-center justify-center gap-x-2.5',
            'rounded-2xl border px-2 leading-none',
            'border-line-strong bg-paper hover:border-ink',
          )}
        >
          {!covered && (
            <span className="flex text-[1.25em] leading-[1.15] roomy:text-[1.5em]">
              <HeardAnswer {...answer} />
            </span>
          )}
          <span
            className={clsx(
              'text-[0.85em] leading-tight text-muted roomy:text-[1em]',
              !covered && isLoss(answer) && 'sr-only',
            )}
          >
            {answer.note}
          </span>
          <Key className="text-muted">{sure(LIKELY_KEYS[i]).toUpperCase()}</Key>
        </button>
      ))}
      {onElse && (
        <button
          type="button"
          data-box
          onClick={onElse}
          className={clsx(
            'min-h-0 min-w-0 rounded-2xl border border-dashed border-line-strong px-2',
            'text-[0.9em] leading-tight hover:border-ink roomy:text-[1em]',
          )}
        >
          Something else
        </button>
      )}
    </div>
  );
});

interface MarksProps extends Marking {
  /** No help in a check-in. */
  readonly noHelp: boolean;
}

/** The five outcomes, each one tap. */
export const Marks = memo(function Marks({ noHelp, onMark }: MarksProps) {
  return (
    <div className="marks h-full" {...(noHelp ? { 'data-few': '' } : {})}>
      {OUTCOMES.map((outcome, i) =>
        noHelp && outcome === 'with-help' ? null : (
          <button
            key={outcome}
            type="button"
            data-box
            onClick={() => onMark(outcome)}
            className={clsx(
              'relative min-h-0 min-w-0 rounded-2xl border-ink px-2 font-word leading-tight',
              LOOK[outcome],
            )}
          >
            {OUTCOME_WORDS[outcome]}
            <Key className={i === 0 ? '' : 'text-muted'}>{String(i + 1)}</Key>
          </button>
        ),
      )}
    </div>
  );
});
