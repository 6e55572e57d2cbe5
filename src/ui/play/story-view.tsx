'use client';

import { clsx } from 'clsx';
import type { View } from '@/core/games/view';
import { tick } from './run/acts';
import { catchId } from './run/catches';
import { useRun, useStore } from './use-run';
import { storyView as say } from './text';

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
    <div className="max-w-[56rem] py-2">
      <Sentence story={story} at={at} />
      <div className="mt-4 flex flex-wrap items-center gap-x-6 gap-y-2">
        <button
          type="button"
          className="plain min-h-16"
          disabled={at === 0}
          onClick={() => store.note({ sentence: at - 1 })}
        >
          {say.back}
        </button>
        <button
          type="button"
          className="plain min-h-16 px-6"
          disabled={at === last}
          onClick={() => store.note({ sentence: at + 1 })}
        >
          {say.nextSentence}
        </button>
        <p role="status" className="text-lg text-muted">
          {say.where(at + 1, last + 1)} · {say.caught(caught, hits)}
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
    <p className="min-h-[7.5rem] font-word text-4xl leading-[1.7] max-sm:text-[1.7rem]">
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
                'min-h-12 rounded-lg px-1',
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
