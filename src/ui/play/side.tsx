'use client';

import { brief } from '@/core/sessions/initials';
import { Button } from '../kit/button';
import { AfterMark } from './after-mark';
import { undo } from './run/acts';
import { ToolButton } from './tool-button';
import { useNames, useRun, useStore } from './use-run';

const undoLabel = (name: string | null) => (name ? `Undo: ${name}` : 'Undo');

/** Beside the marks: taking the last one back, what can still be said of it, and what is at hand. */
export function Side() {
  const finished = useRun((run) => run.state.phase === 'finished');
  return (
    <div className="side">
      <div className="fit grid min-h-0 min-w-0" data-zone="undo">
        {!finished && <Undo />}
      </div>
      <div className="fit flex min-h-0 min-w-0 flex-wrap content-start gap-2" data-zone="tools">
        <ToolButton id="other-word" className="leading-tight snug:hidden wide:min-h-[54px]" />
        <ToolButton id="skip" className="snug:hidden wide:min-h-[54px]" />
        <Tools />
      </div>
      <AfterMark />
    </div>
  );
}

function Undo() {
  const store = useStore();
  const nameOf = useNames();
  const last = useRun((run) => run.state.last);
  return (
    <Button
      data-box
      className="min-h-0 min-w-0 px-2 text-[0.9em] leading-tight break-words roomy:text-[1em]"
      disabled={!last}
      onClick={() => void store.dispatch(undo)}
    >
      {undoLabel(last && brief(nameOf(last.childId)))}
    </Button>
  );
}

/** Everything else at hand, behind one button; with room for them, the usual tools stand in the open. */
function Tools() {
  const store = useStore();
  return (
    <Button
      className="shrink-0 px-3 text-[0.9em] snug:h-full roomy:text-[1em] wide:min-h-[54px]"
      onClick={() => store.show({ dialog: 'tools' })}
    >
      Tools
    </Button>
  );
}
