'use client';

import { useState, useTransition } from 'react';
import { chooseNext } from '@/actions/next-steps';
import { playStep } from '@/actions/sessions';
import { capital } from '@/core/in-words';
import type { NextStep } from '@/core/progress/next-step';
import type { ShownLadder } from '@/server/children/child-page';
import type { Chosen } from '@/server/children/progress';
import { ErrorMessage } from '../kit/message';
import { nextCard as say } from './text';

interface NextCardProps {
  readonly childId: string;
  readonly name: string;
  readonly groupId: string;
  readonly next: readonly NextStep[];
  readonly chosen: Chosen | null;
  readonly chosenOn: string | null;
  /** Every step there is to choose from. */
  readonly ladders: readonly ShownLadder[];
}

/** What to play next and why, played in one tap; another step can be chosen, and the choice is kept as such. */
export function NextCard({ childId, name, groupId, next, chosen, chosenOn, ladders }: NextCardProps) {
  const [choosing, setChoosing] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const run = (work: () => Promise<{ error?: string } | void>): void =>
    begin(async () => {
      const state = await work().catch(() => ({ error: say.serverCannotReached }));
      setError(state?.error ?? null);
      if (!state?.error) setChoosing(false);
    });
  const [first, second] = next;
  const main = chosen?.step ?? first;
  const play = (step: NextStep): void => run(() => playStep(groupId, step.ladder, step.rung, [childId]));
  return (
    <section aria-labelledby="next" className="rounded-2xl bg-marigold-soft px-5 py-4">
      {main ? (
        <>
          <h2 id="next" className="text-2xl leading-tight">
            {say.next(main.rungOf.does)}
          </h2>
          <p className="mt-1.5 leading-snug">
            {chosen ? (
              <>
                {say.chosenBy(chosen.by)}
                {chosenOn && say.on(chosenOn)}.{first && first.rungOf !== main.rungOf && say.ours(first.rungOf.does)}
              </>
            ) : (
              main.reason
            )}
          </p>
          <div className="mt-3 flex flex-wrap gap-2">
            <button type="button" className="action" disabled={running} onClick={() => play(main)}>
              {say.playThis}
            </button>
            <button type="button" className="plain" aria-expanded={choosing} onClick={() => setChoosing(!choosing)}>
              {say.anotherStep}
            </button>
            {chosen && (
              <button
                type="button"
                className="quiet"
                disabled={running}
                onClick={() => run(() => chooseNext(childId, null))}
              >
                {say.backToOurs}
              </button>
            )}
          </div>
          {second && !choosing && (
            <p className="mt-3 border-t border-line-strong/40 pt-2.5 leading-snug">
              {say.or} <b className="font-word">{second.rungOf.does}.</b> {second.reason}{' '}
              <button
                type="button"
                className="quiet min-h-9 px-1 text-ink"
                disabled={running}
                onClick={() => play(second)}
              >
                {say.playThat}
                <span className="sr-only">: {second.rungOf.does}</span>
              </button>
            </p>
          )}
        </>
      ) : (
        <h2 id="next" className="text-2xl leading-tight">
          {say.climbedEveryLadder(name)}
        </h2>
      )}
      {choosing && <AnotherStep running={running} run={run} childId={childId} ladders={ladders} />}
      {error && (
        <div className="mt-3">
          <ErrorMessage>{error}</ErrorMessage>
        </div>
      )}
    </section>
  );
}

/** Every step of every ladder, to choose from. */
function AnotherStep({
  running,
  run,
  childId,
  ladders,
}: Pick<NextCardProps, 'childId' | 'ladders'> & {
  readonly running: boolean;
  readonly run: (work: () => Promise<{ error?: string } | void>) => void;
}) {
  return (
    <label className="mt-3 block">
      <span className="mb-1 block">{say.choiceKeptShown}</span>
      <select
        className="field"
        defaultValue=""
        disabled={running}
        onChange={(e) => {
          const [ladder, rung] = e.target.value.split('|');
          if (ladder && rung) run(() => chooseNext(childId, { ladder, rung }));
        }}
      >
        <option value="" disabled>
          {say.chooseAStep}
        </option>
        {ladders.map((l) => (
          <optgroup key={l.id} label={l.name}>
            {l.rungs.map((r) => (
              <option key={r.id} value={`${l.id}|${r.id}`}>
                {capital(r.does)}
              </option>
            ))}
          </optgroup>
        ))}
      </select>
    </label>
  );
}
