'use client';

import dynamic from 'next/dynamic';
import { AnswerLine } from './answer-line';
import { ACCESS_WORDS } from '@/core/answers/access';
import { ItemView } from './item-view';
import { isTold } from './run/catches';
import { SayPanel } from './say-panel';
import { Stage } from './stage';
import { WhoSpeaks } from './who-speaks';
import { useNames, useRun } from './use-run';

/** Views of one kind of game each; the others do without them. */
export const loadViews = () => Promise.all([import('./hunt-view'), import('./story-view')]);
const HuntView = dynamic(() => import('./hunt-view').then((m) => m.HuntView));
const StoryView = dynamic(() => import('./story-view').then((m) => m.StoryView));

/** A turn, or the model before it: what to say, the item, what is right, and what is at hand. */
export function Turn() {
  const hunting = useRun((run) => run.hunting && !run.modelling);
  const telling = useRun(({ item }) => isTold(item));
  const turnKey = useRun((run) => run.turnKey);
  const waits = useRun(({ playing, state, round }) => playing && state.calling && round.own.length > 0);
  if (waits) return <WordComesThen />;
  return (
    <Stage below={hunting ? null : <WhoSpeaks />}>
      <Heading />
      <SayPanel />
      <AlwaysSo />
      {hunting && <HuntView key={turnKey} />}
      {telling && <StoryView key={turnKey} />}
      {!hunting && !telling && (
        <div className="my-[0.8em]" data-part="word">
          <ItemView />
        </div>
      )}
      <AnswerLine />
    </Stage>
  );
}

/** Who wants a turn is tapped first, where each child has a word of their own. */
const WordComesThen = () => (
  <Stage below={null}>
    <Heading />
    <p className="my-[0.8em] font-word text-[1.6em] leading-snug" data-part="word">
      Who wants a turn? Tap a child’s name to see their word.
    </p>
  </Stage>
);

/** What the page is called, and whose turn it is, for those who do not see it. */
function Heading() {
  const nameOf = useNames();
  const round = useRun((run) => run.round.name);
  const group = useRun((run) => run.session.groupName);
  const state = useRun((run) => run.state);
  const modelling = useRun((run) => run.modelling);
  return (
    <>
      <h1 className="sr-only">
        {round} with {group}
      </h1>
      <p role="status" className="sr-only">
        {modelling || state.calling ? '' : `${nameOf(state.childId)}’s turn, ${state.done + 1} of ${state.planned}`}
      </p>
    </>
  );
}

/** What is always so for the child whose turn it is. */
function AlwaysSo() {
  const nameOf = useNames();
  const access = useRun((run) => run.ownWay.access);
  const child = useRun((run) => run.state.childId);
  if (!access.length || child === null) return null;
  return (
    <p className="mt-1 text-[0.9em] leading-snug text-muted roomy:text-[1em]">
      Always for {nameOf(child)}: {access.map((a) => ACCESS_WORDS[a].play).join(', ')}.
    </p>
  );
}
