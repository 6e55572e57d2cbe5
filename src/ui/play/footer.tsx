'use client';

import { useMemo } from 'react';
import { OUTCOME_WORDS } from '@/core/answers/outcome';
import { Calling, Marks } from './play-footer';
import { choose, modelled } from './run/acts';
import { canHear, harvestOf } from './run/keys';
import { useNames, useRun, useStore } from './use-run';
import { footer as say } from './text';

/** What the tap is for now: the model, who answers, or what the child did. */
export function Footer() {
  return (
    <footer className="sticky bottom-0 z-10 border-t border-line bg-card px-4 pt-2 pb-3 [contain:layout_style] sm:px-7">
      <Taps />
    </footer>
  );
}

function Taps() {
  const modelling = useRun((run) => run.modelling);
  const playing = useRun((run) => run.playing);
  const hunting = useRun((run) => run.hunting);
  const calling = useRun((run) => run.state.calling);
  const there = useRun((run) => run.item !== undefined);
  if (modelling) return <Modelled />;
  if (!playing) return <Saved />;
  if (hunting) return <Harvest />;
  if (calling) return <WhoAnswers />;
  return there ? <Marking /> : <Saved />;
}

function Modelled() {
  const store = useStore();
  const nameOf = useNames();
  const calling = useRun((run) => run.state.calling);
  const child = useRun((run) => run.state.childId);
  return (
    <button
      type="button"
      className="action min-h-24 w-full text-2xl wrap-anywhere"
      onClick={() => void store.dispatch(modelled)}
    >
      {say.modelled(calling, nameOf(child))}
    </button>
  );
}

function Harvest() {
  const store = useStore();
  const { size } = useRun((run) => run.state.ticked);
  return (
    <div className="grid grid-cols-[1fr_auto] gap-3">
      <button
        type="button"
        className="action min-h-24 text-2xl"
        onClick={() => void store.mark('on-own', harvestOf(store.snapshot()))}
      >
        {say.harvest(size)}
      </button>
      <button type="button" className="plain min-h-24 px-6" onClick={() => void store.mark('does-not-count')}>
        {OUTCOME_WORDS['does-not-count']}
      </button>
    </div>
  );
}

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
  return <Calling people={callable} nameOf={nameOf} onChoose={(id) => void store.dispatch(choose(id))} />;
}

function Marking() {
  const store = useStore();
  const nameOf = useNames();
  const child = useRun((run) => run.state.childId);
  const likely = useRun((run) => run.likely);
  const covered = useRun((run) => run.view.covered);
  const check = useRun((run) => run.check);
  const hears = useRun(canHear);
  const onElse = useMemo(() => (hears ? () => store.show({ dialog: 'said' }) : undefined), [store, hears]);
  return (
    <Marks who={nameOf(child)} likely={likely} covered={covered} noHelp={check} onMark={store.mark} onElse={onElse} />
  );
}

function Saved() {
  const pending = useRun((run) => run.pending > 0);
  return <p className="text-muted">{pending ? say.lastAnswersKept : say.everyAnswerSaved}</p>;
}
