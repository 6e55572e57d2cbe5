'use client';

import { useState } from 'react';
import type { PebbleWord } from '@/core/games/pebbles';
import { whereIn } from '@/core/answers/spots';
import { anotherWord, nextPart, TELLINGS, verdictOn, type PebbleCheck } from '@/core/evidence/pebbles';
import type { PebbleMark } from '@/core/sessions/log';
import { Button } from '../../kit/button';
import { Chip } from '../../kit/chip';
import { Dialog } from '../../kit/dialog';
import { notePebbles } from '../run/acts';
import { checkOfTurn, offerOf, type Offer } from '../run/pebbles';
import { useNames, useRun, useStore } from '../use-run';

const verdictText = (verdict: 'speech' | 'awareness' | 'own-words' | 'talk' | 'open'): string =>
  ({
    speech: 'They hear it: it’s how they say it. Their answer counts as right.',
    awareness: 'They can say it, but they don’t hear it yet. There’s a game for it on their page.',
    'own-words': 'They can tell the words apart but can’t say it yet. Play words they can say.',
    talk: 'They couldn’t tell the words apart on two days. Their page says what to do.',
    open: 'Saved. We can’t tell yet, so it doesn’t count either way.',
  })[verdict];

/** Words at most in one go. */
const MOST = 3;

/** Marks as checks of today, so that what they say is known at once. */
const asChecks = (marks: readonly PebbleMark[]): PebbleCheck[] => {
  const now = Date.now();
  return marks.map((m, i) => ({ ...m, at: now + i, day: 0 }));
};

interface PebblesProps {
  readonly onClose: () => void;
}

/** The pebble check: say it, push a pebble a sound, tell the two words apart; another word where that says more. */
export function PebblesDialog({ onClose }: PebblesProps) {
  const store = useStore();
  const nameOf = useNames();
  const more = useRun((run) => run.session.pebbles.more);
  // As it was when the check began: nothing is marked meanwhile.
  const [offer] = useState<Offer | null>(() => offerOf(store.snapshot()) ?? checkOfTurn(store.snapshot()));
  const [word, setWord] = useState<PebbleWord | null>(offer?.word ?? null);
  const [marks, setMarks] = useState<readonly PebbleMark[]>([]);
  if (!offer || !word) return null;
  const finish = (all: readonly PebbleMark[]): void => {
    void store.dispatch(notePebbles(offer.answer?.id ?? null, all));
    const now = Date.now();
    store.show({ dialog: null, news: verdictText(verdictOn(asChecks(all), offer.word.key, now)) });
  };
  const done = (mark: PebbleMark): void => {
    const all = [...marks, mark];
    const used = new Set(all.map((m) => m.word));
    const next = (more[whereIn(offer.word.key)] ?? []).find((w) => !used.has(w.word));
    if (next && all.length < MOST && anotherWord(asChecks(all), offer.word.key, Date.now())) {
      setMarks(all);
      setWord(next);
    } else finish(all);
  };
  const close = (): void => (marks.length ? finish(marks) : onClose());
  return (
    <Dialog
      open
      onOpenChange={close}
      title={`Pebbles with ${nameOf(offer.childId)}`}
      description={
        `Do they hear every sound in “${word.word}”? Put out eight pebbles, and show them how with another word ` +
        'first. Watch for children who put things in their mouths, and use something bigger with very young ones.'
      }
    >
      <OneWord key={word.word} word={word} number={marks.length} onDone={done} />
    </Dialog>
  );
}

interface OneWordProps {
  readonly word: PebbleWord;
  /** Words before it. */
  readonly number: number;
  readonly onDone: (mark: PebbleMark) => void;
}

type PebbleChoice = Pick<PebbleMark, 'told'> & { says: PebbleMark['says'] | null; pebbles: boolean | null };

/** One word, part after part; each part is asked for only once the one before it is marked. */
function OneWord({ word, number, onDone }: OneWordProps) {
  const [marked, setMarked] = useState<PebbleChoice>({ says: null, pebbles: null, told: null });
  const part = nextPart(marked);
  const set = (more: Partial<PebbleChoice>): void => {
    const now = { ...marked, ...more };
    setMarked(now);
    const { says, pebbles, told } = now;
    if (nextPart(now) === 'done' && says !== null && pebbles !== null)
      onDone({ key: word.key, word: word.word, says, pebbles, told });
  };
  const says = (value: PebbleMark['says'], text: string) => (
    <Chip on={marked.says === value} onClick={() => set({ says: value })}>
      {text}
    </Chip>
  );
  return (
    <ol className="space-y-4" aria-live="polite">
      {number > 0 && <li className="list-none">They said that well, so try one more word.</li>}
      <li className="list-none">
        <p className="mb-1.5 text-lg">Say: “Say {word.word}.” What do they say?</p>
        <div role="group" aria-label="What they say" className="flex flex-wrap gap-2">
          {says('word', word.word)}
          {says('slip', word.twin)}
          {says('unsure', 'can’t tell')}
        </div>
      </li>
      {part !== 'say' && (
        <li className="list-none">
          <p className="mb-1.5 text-lg">
            Say: “Lips zipped. Push a pebble for each sound in {word.word}.” Then: “Touch the one for {word.sound}.”
          </p>
          <div role="group" aria-label="Pebbles" className="flex flex-wrap gap-2">
            <Button kind="action" onClick={() => set({ pebbles: true })}>
              {word.count} pebbles, and the right one touched
            </Button>
            <Button onClick={() => set({ pebbles: false })}>Not yet</Button>
          </div>
        </li>
      )}
      {part === 'tell' && <Telling word={word} onTold={(told) => set({ told })} />}
    </ol>
  );
}

/** Which of six questions ask for the word itself: three of each, mixed, never more than two alike in a row. */
const ASKED = [false, true, true, false, true, false] as const;

/** Six questions, three of each word; whichever they get wrong is tapped. */
function Telling({ word, onTold }: { readonly word: PebbleWord; readonly onTold: (told: number) => void }) {
  const [wrong, setWrong] = useState<ReadonlySet<number>>(new Set());
  const toggle = (i: number): void => {
    const next = new Set(wrong);
    if (!next.delete(i)) next.add(i);
    setWrong(next);
  };
  return (
    <li className="list-none">
      <p className="mb-1.5 text-lg">
        Let them see your face, with a picture of the {word.word} if you have one. Ask each question, and tap the ones
        they get wrong.
      </p>
      <div role="group" aria-label="Questions they got wrong" className="flex flex-wrap gap-2">
        {ASKED.map((same, i) => (
          <Chip key={i} on={wrong.has(i)} onClick={() => toggle(i)}>
            Is it {same ? word.word : word.twin}?
            <span className="sr-only"> {wrong.has(i) ? '(wrong)' : '(right)'}</span>
          </Chip>
        ))}
      </div>
      <Button kind="action" className="mt-3" onClick={() => onTold(TELLINGS - wrong.size)}>
        {TELLINGS - wrong.size} of {TELLINGS} right: done
      </Button>
    </li>
  );
}
