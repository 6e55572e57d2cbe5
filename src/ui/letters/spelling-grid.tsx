'use client';

import { clsx } from 'clsx';
import { useOptimistic, startTransition, useState } from 'react';
import { keepSound, tickSpellings } from '@/actions/words';
import type { LettersPage, SpellingToTick } from '@/server/words/letters-page';
import { ErrorMessage } from '../kit/message';
import { useToast } from '../kit/toast';
import { unreached } from '../kit/unreached';
import { dayOfToday } from './use-ticks';

type Rows = LettersPage['rows'];
type SoundRow = Rows[number]['sounds'][number];

interface SpellingGridProps {
  readonly groupId: string;
  readonly rows: Rows;
}

/** Every sound with its spellings beside it; a tap says that it was taught today, another takes that back. */
export function SpellingGrid({ groupId, rows }: SpellingGridProps) {
  const [error, setError] = useState('');
  const tell = useToast();
  const send = (work: () => Promise<{ readonly ok: boolean; readonly error?: string }>): void =>
    startTransition(async () => {
      const answer = await work().catch(unreached('Your last tick wasn’t saved.'));
      setError(answer.ok ? '' : (answer.error ?? ''));
    });
  const say = ({ spelling, keys }: SpellingToTick, taught: boolean, on: string | null) =>
    tickSpellings(groupId, { of: [{ spelling, keys, on }], taught });
  const toggle = (spelling: SpellingToTick, show: (taught: boolean) => void): void =>
    send(async () => {
      const taught = !spelling.taught;
      show(taught);
      const answer = await say(spelling, taught, taught ? dayOfToday() : null);
      if (answer.ok && !taught)
        tell({
          text: `${spelling.shown} isn’t ticked any more.`,
          undo: { name: 'Tick it again', does: () => send(() => say(spelling, true, spelling.on)) },
        });
      return answer;
    });
  const toggleSound = ({ sound, ticked }: SoundRow, show: (ticked: boolean) => void): void =>
    send(async () => {
      show(!ticked);
      return keepSound(groupId, sound.keys, !ticked);
    });
  return (
    <section aria-labelledby="grid-h" className="mt-10">
      <h2 id="grid-h" className="text-2xl">
        Sounds and their spellings
      </h2>
      <p className="mt-1 mb-4 text-muted">
        The number says how many everyday words a spelling would open if it came next.
      </p>
      <ErrorMessage>{error}</ErrorMessage>
      {rows
        .filter(({ sounds }) => sounds.length > 0)
        .map(({ name, sounds }) => (
          <div key={name} className="mb-6">
            <h3 className="mb-1 font-sans text-base font-normal text-muted">{name}</h3>
            <ul className="columns-1 gap-x-10 lg:columns-2">
              {sounds.map((row) => (
                <Row key={row.sound.ipa} row={row} toggle={toggle} toggleSound={toggleSound} />
              ))}
            </ul>
          </div>
        ))}
    </section>
  );
}

interface RowProps {
  readonly row: SoundRow;
  readonly toggle: (spelling: SpellingToTick, show: (taught: boolean) => void) => void;
  readonly toggleSound: (row: SoundRow, show: (ticked: boolean) => void) => void;
}

/** A sound, and its spellings, the commonest first. */
function Row({ row, toggle, toggleSound }: RowProps) {
  const { sound, spellings, spelt } = row;
  const [ticked, show] = useOptimistic(row.ticked);
  return (
    <li className="flex break-inside-avoid items-start gap-3 border-t border-line py-2">
      <button
        type="button"
        aria-pressed={ticked}
        disabled={spelt || sound.keys.length === 0}
        onClick={() => toggleSound(row, show)}
        className={clsx(
          'flex min-h-12 w-20 shrink-0 flex-col items-start justify-center rounded-lg px-2 text-left leading-tight',
          ticked ? 'text-green' : 'text-muted enabled:hover:text-ink',
        )}
      >
        <span className="font-word text-lg">
          {ticked && <span aria-hidden="true">✓ </span>}
          <span className="sr-only">the sound </span>/{sound.label}/
        </span>
        {sound.as && (
          <span className="text-xs">
            <span className="sr-only"> as in </span>
            {sound.as}
          </span>
        )}
        {spelt && <span className="sr-only">, taught with its spelling</span>}
      </button>
      <div className="flex flex-wrap gap-1.5">
        {spellings.map((spelling) => (
          <SpellingButton key={spelling.id} spelling={spelling} toggle={toggle} />
        ))}
      </div>
    </li>
  );
}

interface SpellingButtonProps {
  readonly spelling: SpellingToTick;
  readonly toggle: RowProps['toggle'];
}

function SpellingButton({ spelling, toggle }: SpellingButtonProps) {
  const [taught, show] = useOptimistic(spelling.taught);
  const { shown, thisWeek, examples, opens } = spelling;
  return (
    <button
      type="button"
      aria-pressed={taught}
      title={`as in ${examples.join(', ')}`}
      onClick={() => toggle(spelling, show)}
      className={clsx(
        'flex min-h-12 min-w-12 items-baseline justify-center gap-1.5 rounded-xl border px-2.5 py-1.5',
        taught ? 'border-green bg-green text-card' : 'border-line-strong bg-card hover:border-ink',
        thisWeek && taught && 'outline-3 outline-offset-1 outline-marigold',
      )}
    >
      <span className="font-word text-xl">{shown}</span>
      <span className="sr-only"> as in {examples[0]}</span>
      {!taught && opens && opens.words > 0 && (
        <span className="text-sm text-muted">
          <span className="sr-only">, opens </span>
          {opens.words}
        </span>
      )}
    </button>
  );
}
