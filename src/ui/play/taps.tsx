'use client';

import { useEffect, useMemo, useRef } from 'react';
import { OUTCOME_WORDS } from '@/core/answers/outcome';
import { Button } from '../kit/button';
import { Chip } from '../kit/chip';
import { ChildName } from './child-name';
import { Likely, Marks } from './marks';
import { choose, modelled } from './run/acts';
import { canHear, harvestOf } from './run/keys';
import type { Run } from './run/run';
import { Side } from './side';
import { useNames, useRun, useStore } from './use-run';

const modelDone = (calling: boolean, name: string) => `Done – ${calling ? 'who wants a turn?' : `${name}’s turn`}`;

const finishHarvest = (size: number) => `Finish: ${size} ${size === 1 ? 'word' : 'words'}`;

type Phase = 'model' | 'over' | 'hunt' | 'calling' | 'turn';

/** What the taps are for now. */
function phaseOf({ modelling, playing, hunting, state, item }: Run): Phase {
  if (modelling) return 'model';
  if (!playing || !item) return 'over';
  if (hunting) return 'hunt';
  return state.calling ? 'calling' : 'turn';
}

/** Everything to tap, under the thumb: what was heard, the marks, and what is at hand beside them. */
export function Taps() {
  const phase = useRun(phaseOf);
  const hears = useRun((run) => run.hears);
  const place = useRef<HTMLElement>(null);
  const begun = useRun((run) => run.state.phase);
  // The next Tab leads to the marks, and Space still taps the sounds out.
  useEffect(() => {
    const { activeElement } = document;
    if (!activeElement || activeElement === document.body) place.current?.focus({ preventScroll: true });
  }, [begun]);
  const more = phase === 'turn' && hears;
  return (
    <footer
      ref={place}
      tabIndex={-1}
      className="taps border-t border-line bg-card [contain:layout_style] outline-none"
      {...(more ? {} : { 'data-quiet': '' })}
      {...(phase === 'calling' ? { 'data-calling': '' } : {})}
    >
      {more && <Heard />}
      <Side />
      <div className="fit min-h-0 min-w-0" data-zone="marks">
        <MarksOf phase={phase} />
      </div>
    </footer>
  );
}

function MarksOf({ phase }: { readonly phase: Phase }) {
  switch (phase) {
    case 'model':
      return <Modelled />;
    case 'over':
      return <Saved />;
    case 'hunt':
      return <Harvest />;
    case 'calling':
      return <WhoAnswers />;
    case 'turn':
      return <Marking />;
  }
}

/** What they said, of what can be expected; or anything else. */
function Heard() {
  const store = useStore();
  const nameOf = useNames();
  const child = useRun((run) => run.state.childId);
  const likely = useRun((run) => run.likely);
  const covered = useRun((run) => run.view.covered);
  const hears = useRun(canHear);
  const onElse = useMemo(() => (hears ? () => store.show({ dialog: 'said' }) : undefined), [store, hears]);
  return <Likely who={nameOf(child)} likely={likely} covered={covered} onMark={store.mark} onElse={onElse} />;
}

function Marking() {
  const store = useStore();
  const check = useRun((run) => run.check);
  return <Marks noHelp={check} onMark={store.mark} />;
}

function Modelled() {
  const store = useStore();
  const nameOf = useNames();
  const calling = useRun((run) => run.state.calling);
  const child = useRun((run) => run.state.childId);
  return (
    <Button
      kind="action"
      data-box
      className="h-full w-full px-3 text-[1.2em] leading-tight wrap-anywhere"
      onClick={() => void store.dispatch(modelled)}
    >
      {modelDone(calling, nameOf(child))}
    </Button>
  );
}

function Harvest() {
  const store = useStore();
  const { size } = useRun((run) => run.state.ticked);
  return (
    <div className="grid h-full grid-cols-[2fr_1fr] gap-3">
      <Button
        kind="action"
        data-box
        className="px-2 text-[1.2em] leading-tight"
        onClick={() => void store.mark('on-own', harvestOf(store.snapshot()))}
      >
        {finishHarvest(size)}
      </Button>
      <Button data-box className="px-2 leading-tight" onClick={() => void store.mark('does-not-count')}>
        {OUTCOME_WORDS['does-not-count']}
      </Button>
    </div>
  );
}

/** Who wants to? The names, and how many turns each has had. */
function WhoAnswers() {
  const store = useStore();
  const nameOf = useNames();
  const people = useRun((run) => run.people);
  const state = useRun((run) => run.state);
  const callable = useMemo(
    () =>
      people
        .filter((c) => !state.away.has(c.id) && !state.resting.has(c.id))
        .map(({ id }) => ({ id, turns: state.answers.filter((a) => a.childId === id).length })),
    [people, state],
  );
  return (
    <div className="flex h-full flex-col">
      <p className="mb-1 font-word text-[1.2em] font-bold">Who wants a turn? Tap who answers.</p>
      <ul tabIndex={0} aria-label="Who answers" className="flex min-h-0 flex-wrap gap-2 overflow-y-auto p-1">
        {callable.map(({ id, turns }) => (
          <li key={id}>
            <Chip size="big" onClick={() => void store.dispatch(choose(id))}>
              <ChildName id={id} name={nameOf(id)} /> <span className="font-sans text-base text-muted">{turns}</span>
            </Chip>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Saved() {
  const pending = useRun((run) => run.pending > 0);
  return (
    <p className="text-[0.9em] text-muted roomy:text-[1em]">
      {pending
        ? 'Your last answers are safe on this device. We’ll send them to the server as soon as we can reach it.'
        : 'Every answer is saved.'}
    </p>
  );
}
