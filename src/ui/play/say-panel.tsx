'use client';

import { clsx } from 'clsx';
import { covered as coveredText, fill } from '@/core/games/fill';
import type { Item } from '@/core/games/item';
import type { RoutineStep } from '@/core/games/routine-steps';
import { modelLine } from './model-line';
import { ThinkRing } from './think-ring';
import { useNames, useRun } from './use-run';

/** What the adult says now, and how. */
export function SayPanel() {
  const item = useRun((run) => run.item);
  const modelling = useRun((run) => run.modelling);
  if (!item) return null;
  return (
    <div className="flex items-start gap-4">
      <div className="min-w-0 flex-1 border-l-[6px] border-marigold pl-3" data-part="say">
        <p className={clsx('font-word leading-tight', modelling ? 'text-[1.2em] roomy:text-[1.4em]' : 'said')}>
          <span className="sr-only">Say</span>
          {modelling ? <Opening /> : <Ask item={item} />}
        </p>
        <p className="mt-1 text-[0.9em] leading-snug text-muted roomy:text-[1em]">
          {modelling ? <ModelHow /> : <How item={item} />}
        </p>
      </div>
      <Think />
    </div>
  );
}

const Opening = () => useRun((run) => run.round.opening);

function Ask({ item }: { readonly item: Item }) {
  const step = useRun((run) => run.step);
  const covered = useRun((run) => run.view.covered);
  const ask = useRun((run) => run.round.ask);
  const asked = useRun((run) => run.asked);
  return sayOf(step, item, covered ? coveredText(ask) : asked, covered);
}

function ModelHow() {
  const { gesture, reminder } = useRun((run) => run.round);
  return `Say it together now. Then it’s their turn. Gesture: ${gesture} ${reminder}`;
}

/** How the child answers; who asks, where children play in pairs. */
function How({ item }: { readonly item: Item }) {
  const nameOf = useNames();
  const partner = useRun((run) => run.state.partnerId);
  const child = useRun((run) => run.state.childId);
  const check = useRun((run) => run.check);
  const reminder = useRun((run) => run.round.reminder);
  const pair = partner ? `Whisper it to ${nameOf(partner)}, who asks ${nameOf(child)}. ` : '';
  return `${pair}${check ? reminder : item.how}`;
}

/** Time to think, where this device gives some. */
function Think() {
  const { think, showMe } = useRun((run) => run.device);
  const thinking = useRun((run) => run.playing && !run.hunting && run.step === 'your-turn');
  const turnKey = useRun((run) => run.turnKey);
  const spoken = useRun((run) => run.spoken);
  const sayMs = useRun((run) => run.sayMs);
  if (!think || !thinking) return null;
  return <ThinkRing key={`${turnKey}/${spoken}`} seconds={think} after={sayMs} showMe={showMe} />;
}

/** What is said at a step of the routine. */
function sayOf(step: RoutineStep, item: Item, ask: string, covered: boolean): string {
  if (step === 'your-turn' || covered) return ask;
  switch (step) {
    case 'say-back':
      return `${fill('{word}', item.slots)}. Can you say it back?`;
    case 'join':
      return item.script.find((line) => line.role === 'together')?.text ?? item.word;
    case 'together':
      return `All together: ${item.script.find((line) => line.role === 'children')?.text ?? item.expected}`;
    case 'my-turn':
      return modelLine(item);
  }
}
