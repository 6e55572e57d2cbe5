'use client';

import { clsx } from 'clsx';
import type { View } from '@/core/games/view';
import { Button } from '../kit/button';
import { tick } from './run/acts';
import { catchId } from './run/catches';
import { useRun, useStore } from './use-run';

type Story = Extract<View, { kind: 'story' }>;

/** A little story, one sentence at a time: a tap on each word that was caught. */
export function StoryView() {
  const story = useRun(({ item }) => (item?.view.kind === 'story' && item.view.title ? item.view : null));
  const caught = useRun((run) => run.state.ticked.size);
  const store = useStore();
  const draft = useRun((run) => run.draft.sentence);
  if (!story) return null;
  const last = story.sentences.length - 1;
  const at = Math.min(draft, last);
  const hits = story.sentences.flat().filter((w) => w.hit).length;
  return (
    <div data-part="word">
      <Sentence story={story} at={at} />
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2 roomy:mt-4">
        <Button className="roomy:min-h-16" disabled={at === 0} onClick={() => store.note({ sentence: at - 1 })}>
          Back
        </Button>
        <Button className="roomy:min-h-16" disabled={at === last} onClick={() => store.note({ sentence: at + 1 })}>
          Next sentence
        </Button>
        <p role="status" className="text-[0.9em] text-muted roomy:text-[1em]">
          Sentence {at + 1} of {last + 1} · {caught} of {hits} caught
        </p>
      </div>
    </div>
  );
}

/** The sentence to read; each word to catch is a button. */
function Sentence({ story, at }: { readonly story: Story; readonly at: number }) {
  const store = useStore();
  const covered = useRun((run) => run.view.covered);
  const playing = useRun((run) => run.playing);
  const ticked = useRun((run) => run.state.ticked);
  const words = story.sentences[at] ?? [];
  return (
    <p className="big-3 min-h-[3.4em] font-word leading-[1.6]">
      {words.map(({ text, hit }, i) => {
        const id = catchId(at, i, text);
        if (!hit || !playing)
          return (
            <span key={i} className={clsx(hit && !covered && 'border-b-4 border-marigold font-bold')}>
              {text}{' '}
            </span>
          );
        return (
          <span key={i}>
            <button
              type="button"
              aria-pressed={ticked.has(id)}
              onClick={() => void store.dispatch(tick(id, !ticked.has(id)))}
              className={clsx(
                'rounded-lg px-[0.2em]',
                !covered && 'border-b-4 border-marigold font-bold',
                ticked.has(id) && 'bg-ink text-card',
              )}
            >
              {text}
            </button>{' '}
          </span>
        );
      })}
    </p>
  );
}
