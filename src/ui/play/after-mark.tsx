'use client';

import { clsx } from 'clsx';
import type { ReactNode } from 'react';
import { noHelp } from '@/core/answers/access';
import { HELP_WORDS, OUTCOME_WORDS, type Help } from '@/core/answers/outcome';
import type { AnswerEntry } from '@/core/sessions/log';
import { differ, skip, swap, toggleHelp, toggleSelfCorrected, toggleShown, undo } from './run/acts';
import type { Run } from './run/run';
import { useNames, useRun, useStore } from './use-run';
import { afterMark as say } from './text';

/** What its own button has not noted already comes first. */
const LADDER: readonly Help[] = ['gesture', 'choice', 'together', 'modelled', 'said-again', 'slower'];

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
export function AfterMark() {
  return (
    <div className="flex min-w-0 items-center gap-2 max-lg:flex-wrap">
      <OtherWord />
      <Skip />
      <NoteButton />
      <Undo />
      <MoreAbout />
    </div>
  );
}

/** Another word for this turn, where the game has others. */
function OtherWord() {
  const store = useStore();
  const offered = useRun((run) => !(run.modelling || run.hunting || run.round.inOrder || run.check));
  const there = useRun((run) => run.spare !== undefined);
  const turn = useRun((run) => run.state.turn);
  if (!offered) return null;
  return (
    <button
      type="button"
      className="plain min-h-16 shrink-0"
      disabled={!there}
      onClick={() => void store.dispatch(swap(turn))}
    >
      {say.otherWord}
    </button>
  );
}

function Skip() {
  const store = useStore();
  const offered = useRun((run) => run.playing && run.state.childId !== null && !run.check);
  const turn = useRun((run) => run.state.turn);
  if (!offered) return null;
  return (
    <button
      type="button"
      className="plain min-h-16 shrink-0"
      aria-label={say.skipComeBack}
      onClick={() => void store.dispatch(skip(turn))}
    >
      {say.skip}
    </button>
  );
}

function NoteButton() {
  const store = useStore();
  const offered = useRun((run) => run.playing && !run.hunting);
  const noted = useRun((run) => run.draft.note !== '');
  if (!offered) return null;
  return (
    <button type="button" className="plain min-h-16 shrink-0" onClick={() => store.show({ dialog: 'note' })}>
      {say.note}
      {noted && ' ✓'}
    </button>
  );
}

function Undo() {
  const store = useStore();
  const nameOf = useNames();
  const last = useRun((run) => run.state.last);
  return (
    <button
      type="button"
      className="plain min-h-16 w-40 max-w-full shrink-0"
      disabled={!last}
      onClick={() => void store.dispatch(undo)}
    >
      <span className="truncate">{say.undo(last && nameOf(last.childId))}</span>
    </button>
  );
}

/** One child gave an answer that counts. */
const spoke = ({ childId, outcome }: AnswerEntry): boolean =>
  childId !== null && outcome !== 'no-reply' && outcome !== 'does-not-count';

/** Everyone answered together. */
const together = ({ childId, outcome }: AnswerEntry): boolean => childId === null && outcome !== 'does-not-count';

/** What everyone says now that it is marked: the word joined again. */
function joinOf({ round, state, view }: Run): string | null {
  const { last, turn } = state;
  const item = last ? round.items[last.word] : undefined;
  const joins = round.routine.includes('join') && last?.turn === turn - 1 && item && !view.covered;
  return joins ? `${item.word}!` : null;
}

/** What can still be said of the mark just made. */
function MoreAbout() {
  const nameOf = useNames();
  const last = useRun((run) => run.state.last);
  const join = useRun(joinOf);
  return (
    <div
      role="group"
      aria-label={last ? say.moreAbout(nameOf(last.childId), OUTCOME_WORDS[last.outcome]) : say.nothingMarkedYet}
      className="relative flex min-h-16 min-w-0 flex-1 items-center gap-2 overflow-x-auto p-1 max-lg:basis-full"
    >
      {last && join && (
        <p className="shrink-0 font-word text-2xl">
          <span className="font-sans text-base text-muted">{say.allJoinIt} </span>
          {join}
        </p>
      )}
      {last?.outcome === 'with-help' && last.childId !== null && <Helps last={last} />}
      {last && spoke(last) && <How last={last} />}
      {last && together(last) && <WhoDiffered last={last} />}
    </div>
  );
}

interface LastProps {
  /** The newest answer. */
  readonly last: AnswerEntry;
}

/** Which help it took. */
function Helps({ last }: LastProps) {
  const store = useStore();
  const access = useRun((run) => run.people.find((p) => p.id === last.childId)?.ownWay.access);
  const none = noHelp(access ?? []);
  return LADDER.filter((help) => !none.includes(help)).map((help) => (
    <Chip key={help} on={last.helps.includes(help)} onTap={() => void store.dispatch(toggleHelp(help))}>
      {HELP_WORDS[help]}
    </Chip>
  ));
}

/** Put right by the child; shown and not said. */
function How({ last }: LastProps) {
  const store = useStore();
  return (
    <>
      {last.outcome === 'on-own' && (
        <Chip on={last.selfCorrected === true} onTap={() => void store.dispatch(toggleSelfCorrected)}>
          {say.putRight}
          <span className="sr-only"> {say.bySelf}</span>
        </Chip>
      )}
      <Chip on={last.shown === true} onTap={() => void store.dispatch(toggleShown)}>
        {say.shown}
        <span className="sr-only">{say.notSaid}</span>
      </Chip>
    </>
  );
}

/** Who answered otherwise than everyone did. */
function WhoDiffered({ last }: LastProps) {
  const store = useStore();
  const nameOf = useNames();
  const people = useRun((run) => run.people);
  const { away, differing } = useRun((run) => run.state);
  const here = people.filter((c) => !away.has(c.id));
  if (!here.length) return null;
  return (
    <>
      <span className="shrink-0 text-muted">{say.whoDiffered}</span>
      {here.map(({ id }) => (
        <Chip
          key={id}
          on={differing.some((d) => d.turn === last.turn && d.childId === id)}
          onTap={() => void store.dispatch(differ(id))}
        >
          {nameOf(id)}
        </Chip>
      ))}
    </>
  );
}
