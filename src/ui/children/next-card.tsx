'use client';

import { clsx } from 'clsx';
import { useState, useTransition } from 'react';
import { chooseNext } from '@/actions/next-steps';
import { playPebbles, playStep } from '@/actions/sessions';
import { capital } from '@/core/in-words';
import type { ChildPage, ShownLadder } from '@/server/children/child-page';
import type { ShownNext } from '@/server/children/shown-next';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { SelectField } from '../kit/select';
import { unreached } from '../kit/unreached';

const chosenBy = ({ by, on }: { by: string | null; on: string | null }, words: readonly string[]) =>
  `Chosen by ${by ?? 'an adult'}${on ? ` on ${on}` : ''}.${words.length ? ` Try ${words.join(' and ')}.` : ''}`;

interface NextCardProps {
  readonly page: ChildPage;
  readonly chosenOn: string | null;
}

type RunWork = (work: () => Promise<{ error?: string } | void>) => void;

const titleOf = (step: ShownNext | null, name: string): string =>
  step ? `Next: ${step.does}` : `${name} has finished every ladder. Play what is due again.`;

/**
 * What to play next and why, with words to try now, played in one tap; then what nobody can tell yet and the check that
 * settles it. Another step can be chosen, and the choice is kept as such.
 */
export function NextCard({ page, chosenOn }: NextCardProps) {
  const { id, name, groupId, next, other, chosen, notices, open } = page;
  const [choosing, setChoosing] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const run: RunWork = (work) =>
    begin(async () => {
      const state = await work().catch(unreached('Nothing was changed.'));
      setError(state?.error ?? null);
      if (!state?.error) setChoosing(false);
    });
  const play = ({ ladder, rung, pattern, check }: ShownNext): void =>
    run(() => playStep(groupId, { ladder, rung, pattern, check }, [id]));
  return (
    <section aria-labelledby="next" className="rounded-2xl bg-marigold-soft px-5 py-4">
      {notices.map((text) => (
        <p key={text} className="mb-3 border-l-4 border-marigold pl-3 leading-snug font-bold">
          {text}
        </p>
      ))}
      <div className={clsx('grid gap-x-10 gap-y-3', open.length > 0 && 'md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]')}>
        <div className="min-w-0">
          <h2 id="next" className="text-2xl leading-tight">
            {titleOf(next, name)}
          </h2>
          {next && (
            <>
              <p className="mt-1 max-w-2xl leading-snug">
                {chosen ? chosenBy({ by: chosen.by, on: chosenOn }, next.words) : next.reason}
              </p>
              <Acts
                running={running}
                choosing={choosing}
                onPlay={() => play(next)}
                onAnother={() => setChoosing(!choosing)}
                onOurs={chosen ? () => run(() => chooseNext(id, null)) : null}
              />
            </>
          )}
          {choosing && <AnotherStep running={running} run={run} childId={id} ladders={page.ladders} />}
          {next && other && !choosing && <Other other={other} chosen={chosen !== null} running={running} play={play} />}
        </div>
        {open.length > 0 && (
          <Unsettled open={open} running={running} onCheck={(key) => run(() => playPebbles(id, key))} />
        )}
      </div>
      <ErrorMessage className="mt-3">{error}</ErrorMessage>
    </section>
  );
}

interface ActsProps {
  readonly running: boolean;
  readonly choosing: boolean;
  readonly onPlay: () => void;
  readonly onAnother: () => void;
  /** Goes back to our own proposal, where an adult chose another. */
  readonly onOurs: (() => void) | null;
}

/** What can be done with the step. */
const Acts = ({ running, choosing, onPlay, onAnother, onOurs }: ActsProps) => (
  <div className="mt-3 flex flex-wrap gap-2">
    <Button kind="action" disabled={running} onClick={onPlay}>
      Play this
    </Button>
    <Button aria-expanded={choosing} onClick={onAnother}>
      Another step
    </Button>
    {onOurs && (
      <Button kind="quiet" disabled={running} onClick={onOurs}>
        Use the suggestion
      </Button>
    )}
  </div>
);

interface OtherProps {
  readonly other: ShownNext;
  readonly chosen: boolean;
  readonly running: boolean;
  readonly play: (step: ShownNext) => void;
}

/** Another skill; beside an adult's own choice it is what we would have played. */
const Other = ({ other, chosen, running, play }: OtherProps) => (
  <p className="mt-3 border-t border-line-strong/40 pt-2.5 leading-snug">
    {chosen ? 'We’d have suggested:' : 'Or another skill:'} <b className="font-word">{other.does}.</b>{' '}
    {`${other.reason} `}
    <Button kind="quiet" className="min-h-9 px-1 text-ink" disabled={running} onClick={() => play(other)}>
      Play that one
      <span className="sr-only">: {other.does}</span>
    </Button>
  </p>
);

interface UnsettledProps {
  readonly open: ChildPage['open'];
  readonly running: boolean;
  readonly onCheck: (key: string) => void;
}

/** What slipped and may be speech, with the check that would settle it. */
const Unsettled = ({ open, running, onCheck }: UnsettledProps) => (
  <div className="min-w-0 border-line-strong/40 max-md:border-t max-md:pt-2.5 md:border-l md:pl-8">
    <h3 className="text-lg">What we can’t tell yet</h3>
    {open.some((o) => o.play) && (
      <p className="leading-snug">
        They may hear these and just not be able to say them yet, so they don’t count either way.
      </p>
    )}
    <ul>
      {open.map((o) => (
        <li key={o.key} className="mt-1 leading-snug">
          {o.text}{' '}
          {o.play && (
            <Button kind="quiet" className="min-h-9 px-1 text-ink" disabled={running} onClick={() => onCheck(o.key)}>
              Play the pebble check
              <span className="sr-only">: {o.text}</span>
            </Button>
          )}
        </li>
      ))}
    </ul>
  </div>
);

interface AnotherProps {
  readonly childId: string;
  /** Every step there is to choose from. */
  readonly ladders: readonly ShownLadder[];
  readonly running: boolean;
  readonly run: RunWork;
}

/** Every step of every ladder, to choose from. */
function AnotherStep({ running, run, childId, ladders }: AnotherProps) {
  return (
    <div className="mt-3">
      <SelectField
        label="We’ll save your choice and show that it’s yours."
        placeholder="Choose a step…"
        value=""
        disabled={running}
        options={ladders.map((l) => ({
          heading: l.name,
          options: l.rungs.map((r): [string, string] => [`${l.id}|${r.id}`, capital(r.does)]),
        }))}
        onChange={(value) => {
          const [ladder, rung] = value.split('|');
          if (ladder && rung) run(() => chooseNext(childId, { ladder, rung }));
        }}
      />
    </div>
  );
}
