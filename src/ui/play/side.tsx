'use client';

import { MoreHorizontal } from 'lucide-react';
import { brief } from '@/core/sessions/initials';
import { Button } from '../kit/button';
import { AfterMark } from './after-mark';
import { undo } from './run/acts';
import { ToolButton } from './tool-button';
import { useNames, useRun, useStore } from './use-run';
import { side as say } from './text';

/** Beside the marks: taking the last one back, what can still be said of it, and what is at hand. */
export function Side() {
  const finished = useRun((run) => run.state.phase === 'finished');
  return (
    <div className="fit flex min-h-0 min-w-0 items-stretch gap-2 roomy:flex-col" data-zone="side">
      <div className="contents roomy:flex roomy:gap-2">
        {!finished && <Undo />}
        <ToolButton id="other-word" className="narrow:hidden" />
        <ToolButton id="skip" className="narrow:hidden" />
        <ToolButton id="note" className="narrow:hidden" />
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
      className="max-w-[40%] min-w-24 px-2 text-[0.9em] leading-tight wrap-anywhere roomy:min-h-14 roomy:min-w-36 roomy:text-[1em]"
      disabled={!last}
      onClick={() => void store.dispatch(undo)}
    >
      {say.undo(last && brief(nameOf(last.childId)))}
    </Button>
  );
}

/** Everything else at hand, behind one button; with room for it, it stands in the open. */
function Tools() {
  const store = useStore();
  return (
    <Button
      size="icon"
      className="order-last ml-auto shrink-0 roomy:order-none roomy:ml-0 roomy:min-h-14 wide:hidden"
      aria-label={say.tools}
      onClick={() => store.show({ dialog: 'tools' })}
    >
      <MoreHorizontal aria-hidden="true" />
    </Button>
  );
}
