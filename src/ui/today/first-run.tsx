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
import { firstRun as say } from './text';

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
    what: <p className="text-lg">{say.what}</p>,
    accent: <Accent {...props} />,
    who: <Who {...props} />,
    marks: <Marks />,
  };
  return (
    <section aria-labelledby="welcome" className="mb-6 rounded-2xl bg-card p-5 max-sm:p-4">
      <h2 id="welcome" className="text-2xl">
        {say.welcome}
      </h2>
      <div className="mt-2 mb-1">
        <Progress label={say.howFar} done={CARDS.indexOf(card) + 1} of={CARDS.length} />
      </div>
      <Tabs
        label={say.welcome}
        value={card}
        onChange={(to) => setCard(CARDS.find((c) => c === to) ?? 'what')}
        pages={CARDS.map((id) => ({ id, name: say.names[id], page: pages[id] }))}
      />
      <div className="mt-4 flex flex-wrap gap-2">
        {next && <Button onClick={() => setCard(next)}>{say.next(say.names[next])}</Button>}
        <Button kind={next ? 'quiet' : 'plain'} onClick={leave}>
          {next ? say.leave : say.ready}
        </Button>
      </div>
    </section>
  );
}

function Accent({ accent, accents }: FirstRunProps) {
  const [chosen, choose] = useState(accent);
  const [error, setError] = useState<string | null>(null);
  const [, begin] = useTransition();
  const keep = (next: string): void => {
    choose(next);
    begin(async () => {
      const state = await keepAccent(next).catch(() => ({ error: say.serverCannotReached }));
      setError(state.error ?? null);
    });
  };
  return (
    <>
      <RadioGroup
        kind="pills"
        legend={say.howDoYouSpeak}
        value={chosen}
        onChange={keep}
        options={accents.map(([value, label]) => ({ value, label }))}
      />
      <p className="mt-2 text-muted">{say.soundsFollow}</p>
      {error && <ErrorMessage>{error}</ErrorMessage>}
    </>
  );
}

const Who = ({ groupId }: FirstRunProps) => (
  <>
    <p className="mb-2 text-lg">{say.who}</p>
    <div className="max-w-md">
      <AddChildren groupId={groupId} />
    </div>
  </>
);

/** The five marks, and what each is for. */
const Marks = () => (
  <>
    <p className="mb-2 text-lg">{say.oneTap}</p>
    <ul className="space-y-1">
      {OUTCOMES.map((outcome) => (
        <li key={outcome}>
          <OutcomeMark outcome={outcome} label={false} /> <b className="font-word">{OUTCOME_WORDS[outcome]}</b>{' '}
          <span className="text-muted">{say.marks[outcome]}</span>
        </li>
      ))}
    </ul>
  </>
);
