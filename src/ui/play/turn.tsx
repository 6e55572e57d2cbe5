'use client';

import { AfterMark } from './after-mark';
import { AnswerLine } from './answer-line';
import { HuntView } from './hunt-view';
import { ItemView } from './item-view';
import { isTold } from './run/catches';
import { beatCount } from './run/beats';
import { SayPanel } from './say-panel';
import { Stage } from './stage';
import { StoryView } from './story-view';
import { TurnTools } from './turn-tools';
import { useNames, useRun, useStore } from './use-run';
import { turn as say } from './text';

/** A turn, or the model before it: what to say, the item, what is right, and what is at hand. */
export function Turn() {
  const hunting = useRun((run) => run.hunting && !run.modelling);
  const telling = useRun(({ item }) => isTold(item));
  const turnKey = useRun((run) => run.turnKey);
  return (
    <Stage>
      <Heading />
      <SayPanel />
      {hunting && <HuntView key={turnKey} />}
      {telling && <StoryView key={turnKey} />}
      {!hunting && !telling && <ItemView />}
      <AnswerLine />
      <div className="mt-auto grid grid-cols-[minmax(0,1fr)] gap-1.5">
        {!hunting && <Tools />}
        <AfterMark />
      </div>
    </Stage>
  );
}

/** What the page is called, and whose turn it is, for those who do not see it. */
function Heading() {
  const nameOf = useNames();
  const round = useRun((run) => run.round.name);
  const group = useRun((run) => run.session.groupName);
  const state = useRun((run) => run.state);
  const modelling = useRun((run) => run.modelling);
  return (
    <>
      <h1 className="sr-only">{say.withLine(round, group)}</h1>
      <p role="status" className="sr-only">
        {modelling || state.calling ? '' : say.sTurnOf(nameOf(state.childId), state.done + 1, state.planned)}
      </p>
    </>
  );
}

/** Who speaks, and saying it again; while it is modelled, only the beats. */
function Tools() {
  const store = useStore();
  const modelling = useRun((run) => run.modelling);
  const beats = useRun((run) => (run.item ? beatCount(run.item) : 0));
  if (!modelling) return <TurnTools />;
  if (beats < 2) return null;
  return (
    <div>
      <button type="button" className="plain min-h-16" onClick={store.beat}>
        {say.beatItOut}
      </button>
    </div>
  );
}
