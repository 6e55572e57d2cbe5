'use client';

import { useState } from 'react';
import { ROUTINE_WORDS } from '@/core/games/routine-steps';
import { Button } from '../../kit/button';
import { Dialog } from '../../kit/dialog';
import { TOOLS } from '../run/tools';
import { ToolButton } from '../tool-button';
import { useRun, useStore } from '../use-run';

/** So many fit under a thumb. */
const AT_A_TIME = 5;
/** As globals.css has it: a screen with room for the usual tools in the open. */
const ROOMY = '(width >= 768px) and (height >= 480px)';

interface ToolsProps {
  readonly onClose: () => void;
}

/** What a hand may need besides the marks, five at a time, the likeliest first. */
export function ToolsDialog({ onClose }: ToolsProps) {
  const run = useRun((all) => all);
  const [from, setFrom] = useState(0);
  const roomy = matchMedia(ROOMY).matches;
  const offered = TOOLS.filter((tool) => tool.offered(run) && tool.open !== 'always' && !(tool.open && roomy));
  const next = from + AT_A_TIME < offered.length ? from + AT_A_TIME : 0;
  return (
    <Dialog open low onOpenChange={onClose} title="Tools">
      <ul className="grid grid-cols-1 gap-2 low:grid-cols-3">
        {offered.slice(from, from + AT_A_TIME).map((tool) => (
          <li key={tool.id}>
            <ToolButton id={tool.id} size="big" className="h-full w-full leading-tight" before={onClose} />
          </li>
        ))}
        {offered.length > AT_A_TIME && (
          <li>
            <Button kind="quiet" size="big" className="w-full justify-center" onClick={() => setFrom(next)}>
              {next ? 'More tools' : 'Back to the first five'}
            </Button>
          </li>
        )}
      </ul>
    </Dialog>
  );
}

/** Who speaks now, where there is no room for it beside the word. */
export function SpeaksDialog({ onClose }: ToolsProps) {
  const store = useStore();
  const steps = useRun((run) => run.round.routine);
  const step = useRun((run) => run.step);
  return (
    <Dialog open low onOpenChange={onClose} title="Who speaks">
      <ul className="grid grid-cols-1 gap-2 low:grid-cols-3">
        {steps.map((name) => (
          <li key={name}>
            <Button
              size="big"
              kind={name === step ? 'action' : 'plain'}
              className="h-full w-full"
              aria-pressed={name === step}
              onClick={() => {
                store.setStep(name);
                onClose();
              }}
            >
              {ROUTINE_WORDS[name]}
            </Button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
