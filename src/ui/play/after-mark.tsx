'use client';

import { clsx } from 'clsx';
import type { ReactNode } from 'react';
import { HELP_WORDS, OUTCOME_WORDS, type Help } from '@/core/answers/outcome';
import type { AnswerEntry } from '@/core/sessions/log';
import { sure } from '@/core/sure';

/** What its own button has not noted already comes first. */
const LADDER: readonly Help[] = ['gesture', 'choice', 'together', 'modelled', 'said-again', 'slower'];

interface AfterProps {
  /** Another word for this turn; null where there is none to be had. */
  readonly canSwap: boolean | null;
  readonly onSwap: () => void;
  readonly onSkip: (() => void) | undefined;
  readonly noted: boolean;
  readonly onNote: (() => void) | undefined;
  /** The newest answer, and whose it was. */
  readonly last: AnswerEntry | null;
  readonly nameOf: (id: string | null) => string;
  /** Children who may have answered otherwise than everyone did. */
  readonly people: readonly { readonly id: string }[];
  readonly differing: readonly AnswerEntry[];
  /** What they do now that it is marked: join it again. */
  readonly join: string | null;
  readonly onUndo: () => void;
  readonly onMore: (more: Partial<Pick<AnswerEntry, 'helps' | 'selfCorrected' | 'shown'>>) => void;
  readonly onDiffer: (childId: string) => void;
}

const Chip = ({ on, onTap, children }: { on: boolean; onTap: () => void; children: ReactNode }) => (
  <button
    type="button"
    aria-pressed={on}
    onClick={onTap}
    className={clsx(
      'min-h-16 shrink-0 rounded-full border px-4',
      on ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink',
    )}
  >
    {children}
  </button>
);

/**
 * What is always at hand; and what can still be said of the mark just made, one tap each: undo, which help it took,
 * put right by the child, shown, who differed.
 */
export function AfterMark({
  canSwap,
  onSwap,
  onSkip,
  noted,
  onNote,
  last,
  nameOf,
  people,
  differing,
  join,
  onUndo,
  onMore,
  onDiffer,
}: AfterProps) {
  const toggle = (help: Help): void =>
    onMore({
      helps: sure(last).helps.includes(help) ? sure(last).helps.filter((h) => h !== help) : [...sure(last).helps, help],
    });
  return (
    <div className="flex min-w-0 items-center gap-2 max-lg:flex-wrap">
      {canSwap !== null && (
        <button type="button" className="plain min-h-16 shrink-0" disabled={!canSwap} onClick={onSwap}>
          Other word
        </button>
      )}
      {onSkip && (
        <button
          type="button"
          className="plain min-h-16 shrink-0"
          aria-label="Skip: come back to this child later"
          onClick={onSkip}
        >
          Skip
        </button>
      )}
      {onNote && (
        <button type="button" className="plain min-h-16 shrink-0" onClick={onNote}>
          Note{noted && ' ✓'}
        </button>
      )}
      <button type="button" className="plain min-h-16 w-40 max-w-full shrink-0" disabled={!last} onClick={onUndo}>
        <span className="truncate">Undo{last ? `: ${nameOf(last.childId)}` : ''}</span>
      </button>
      <MoreAbout
        last={last}
        nameOf={nameOf}
        join={join}
        toggle={toggle}
        onMore={onMore}
        people={people}
        differing={differing}
        onDiffer={onDiffer}
      />
    </div>
  );
}

interface MoreAboutProps {
  readonly last: AnswerEntry | null;
  readonly nameOf: (id: string | null) => string;
  readonly join: string | null;
  readonly toggle: (help: Help) => void;
  readonly onMore: (more: Partial<Pick<AnswerEntry, 'helps' | 'selfCorrected' | 'shown'>>) => void;
  readonly people: readonly { readonly id: string }[];
  readonly differing: readonly AnswerEntry[];
  readonly onDiffer: (childId: string) => void;
}

/** One child gave an answer that counts. */
const spoke = ({ childId, outcome }: AnswerEntry): boolean =>
  childId !== null && outcome !== 'no-reply' && outcome !== 'does-not-count';

/** Everyone answered together. */
const together = ({ childId, outcome }: AnswerEntry): boolean => childId === null && outcome !== 'does-not-count';

/** What can still be said of the mark just made. */
function MoreAbout({ last, nameOf, join, toggle, onMore, people, differing, onDiffer }: MoreAboutProps) {
  return (
    <div
      role="group"
      aria-label={last ? `More about ${nameOf(last.childId)}: ${OUTCOME_WORDS[last.outcome]}` : 'Nothing marked yet'}
      className="relative flex min-h-16 min-w-0 flex-1 items-center gap-2 overflow-x-auto p-1 max-lg:basis-full"
    >
      {last && join && (
        <p className="shrink-0 font-word text-2xl">
          <span className="font-sans text-base text-muted">All join it: </span>
          {join}
        </p>
      )}
      {last?.outcome === 'with-help' &&
        last.childId !== null &&
        LADDER.map((help) => (
          <Chip key={help} on={last.helps.includes(help)} onTap={() => toggle(help)}>
            {HELP_WORDS[help]}
          </Chip>
        ))}
      {last && spoke(last) && (
        <>
          {last.outcome === 'on-own' && (
            <Chip on={last.selfCorrected === true} onTap={() => onMore({ selfCorrected: last.selfCorrected !== true })}>
              put right<span className="sr-only"> by self</span>
            </Chip>
          )}
          <Chip on={last.shown === true} onTap={() => onMore({ shown: last.shown !== true })}>
            shown<span className="sr-only">, not said</span>
          </Chip>
        </>
      )}
      {last && together(last) && people.length > 0 && (
        <>
          <span className="shrink-0 text-muted">Who differed?</span>
          {people.map(({ id }) => (
            <Chip
              key={id}
              on={differing.some((d) => d.turn === last.turn && d.childId === id)}
              onTap={() => onDiffer(id)}
            >
              {nameOf(id)}
            </Chip>
          ))}
        </>
      )}
    </div>
  );
}
