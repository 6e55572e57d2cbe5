'use client';

import { useState, useSyncExternalStore, useTransition } from 'react';
import { keepAccent } from '@/actions/settings';
import { OUTCOMES, OUTCOME_WORDS } from '@/core/answers/outcome';
import { AddChildren } from '../children/add-forms';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { OutcomeMark } from '../kit/outcome-mark';
import { Progress } from '../kit/progress';
import { RadioGroup } from '../kit/radio-group';
import { Tabs } from '../kit/tabs';
import { unreached } from '../kit/unreached';
import { Section } from '../kit/section';

const WELCOME = 'Your first game in a minute';

const CARD_NAMES = {
  what: 'What it is',
  accent: 'How you speak',
  who: 'Who’s playing',
  marks: 'One tap each',
} as const;

const MARK_MEANINGS = {
  'on-own': 'said it without any help',
  'with-help': 'got there with a bit of help',
  'not-yet': 'said something else, or wasn’t sure',
  'no-reply': 'didn’t say anything',
  'does-not-count': 'it was too noisy, or they weren’t with us',
} as const;

const PLACE = 'bouncy-echo-welcomed';
const listeners = new Set<() => void>();
let left = false;

/** Somebody has left these cards on this device. */
function isLeft(): boolean {
  try {
    return left || localStorage.getItem(PLACE) !== null;
  } catch {
    return left;
  }
}

function leave(): void {
  left = true;
  try {
    localStorage.setItem(PLACE, 'yes');
  } catch {
    // A browser that keeps nothing: for this page alone.
  }
  for (const changed of listeners) changed();
}

const onLeft = (changed: () => void): (() => void) => {
  listeners.add(changed);
  return () => listeners.delete(changed);
};

interface FirstRunProps {
  readonly groupId: string;
  readonly accent: string;
  readonly accents: readonly (readonly [id: string, name: string])[];
}

const CARDS = ['what', 'accent', 'who', 'marks'] as const;
type Card = (typeof CARDS)[number];

/** Four cards for the first day. Nothing waits for them: the games stand under them, and they can be left any time. */
export function FirstRun(props: FirstRunProps) {
  const [card, setCard] = useState<Card>('what');
  const gone = useSyncExternalStore(onLeft, isLeft, () => false);
  if (gone) return null;
  const next = CARDS[CARDS.indexOf(card) + 1];
  const pages = {
    what: (
      <p className="text-lg">
        You say a word, they answer out loud, and one tap keeps what each child said. There are no letters and nothing
        to look at. Press Play now, just below, whenever you like.
      </p>
    ),
    accent: <Accent {...props} />,
    who: <Who {...props} />,
    marks: <Marks />,
  };
  return (
    <Section id="welcome" title={WELCOME} heading="text-2xl" className="mb-6 rounded-2xl bg-card p-5 max-sm:p-4">
      <div className="mt-2 mb-1">
        <Progress label="How many of the four cards you’ve seen" done={CARDS.indexOf(card) + 1} of={CARDS.length} />
      </div>
      <Tabs
        label={WELCOME}
        value={card}
        onChange={(to) => setCard(CARDS.find((c) => c === to) ?? 'what')}
        pages={CARDS.map((id) => ({ id, name: CARD_NAMES[id], page: pages[id] }))}
      />
      <div className="mt-4 flex flex-wrap gap-2">
        {next && <Button onClick={() => setCard(next)}>Next: {CARD_NAMES[next].toLowerCase()}</Button>}
        <Button kind={next ? 'quiet' : 'plain'} onClick={leave}>
          {next ? 'Skip this' : 'I’m ready'}
        </Button>
      </div>
    </Section>
  );
}

function Accent({ accent, accents }: FirstRunProps) {
  const [chosen, choose] = useState(accent);
  const [error, setError] = useState<string | null>(null);
  const [, begin] = useTransition();
  const keep = (next: string): void => {
    choose(next);
    begin(async () => {
      const state = await keepAccent(next).catch(unreached('Please choose again in a moment.'));
      setError(state.error ?? null);
    });
  };
  return (
    <>
      <RadioGroup
        kind="pills"
        legend="Which is closest to how you speak?"
        value={chosen}
        onChange={keep}
        options={accents.map(([value, label]) => ({ value, label }))}
      />
      <p className="mt-2 text-muted">
        Sounds and rhymes follow your accent. You can change it, and how you count sounds, in Settings.
      </p>
      <ErrorMessage>{error}</ErrorMessage>
    </>
  );
}

const Who = ({ groupId }: FirstRunProps) => (
  <>
    <p className="mb-2 text-lg">First names are enough. Or leave this empty: you can play with no names at all.</p>
    <div className="max-w-md">
      <AddChildren groupId={groupId} sendOnLeave />
    </div>
  </>
);

/** The five marks, and what each is for. */
const Marks = () => (
  <>
    <p className="mb-2 text-lg">
      After each turn, tap what you heard. The next turn comes up by itself, and Undo takes a tap back.
    </p>
    <ul className="space-y-1">
      {OUTCOMES.map((outcome) => (
        <li key={outcome}>
          <OutcomeMark outcome={outcome} label={false} /> <b className="font-word">{OUTCOME_WORDS[outcome]}</b>{' '}
          <span className="text-muted">{MARK_MEANINGS[outcome]}</span>
        </li>
      ))}
    </ul>
  </>
);
