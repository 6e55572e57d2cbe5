'use client';

import type { Alike } from '@/core/letters/alike';
import { listed } from '@/core/in-words';
import type { LettersPage, SpellingToTick } from '@/server/words/letters-page';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { Section } from '../kit/section';
import { dayOfToday, useTicks } from './use-ticks';

interface OpeningProps extends Pick<LettersPage, 'next' | 'thisWeek'> {
  readonly groupId: string;
}

const HOW: Readonly<Record<Alike, string>> = {
  look: 'looks like',
  sound: 'sounds like',
  both: 'looks and sounds like',
};

/** This week’s spellings, and those that would open the most words if they came next. */
export function Opening({ groupId, next, thisWeek }: OpeningProps) {
  const { tick, error, running } = useTicks(groupId);
  return (
    <>
      <ErrorMessage>{error}</ErrorMessage>
      {thisWeek.length > 0 && (
        <Section id="week-h" title="This week" heading="text-2xl" className="mt-8">
          <ul className="mt-2 flex flex-wrap gap-3">
            {thisWeek.map((spelling) => (
              <li key={spelling.id} className="flex items-center gap-3 rounded-xl border-2 border-marigold px-4 py-2">
                <Named spelling={spelling} />
                <Button kind="quiet" disabled={running} onClick={() => tick([spelling], true, null)}>
                  Taught earlier
                </Button>
              </li>
            ))}
          </ul>
        </Section>
      )}
      {next.length > 0 && (
        <Section id="next-h" title="What would open most" heading="text-2xl" className="mt-8">
          <p className="mt-1 text-muted">
            Everyday words they could read if you taught one more spelling. The order stays yours.
          </p>
          <ul className="mt-2 grid gap-x-10 sm:grid-cols-2">
            {next.map(({ spelling, near }) => (
              <li key={spelling.id} className="flex items-center justify-between gap-3 border-t border-line py-2">
                <div>
                  <p>
                    <Named spelling={spelling} />{' '}
                    <span className="text-muted">
                      opens {spelling.opens?.words}: {spelling.opens?.best.join(', ')}
                      {spelling.opens?.lines ? linesToo(spelling.opens.lines) : ''}
                    </span>
                  </p>
                  {near.length > 0 && (
                    <p className="text-sm">
                      It {HOW[near[0]?.how ?? 'look']} {listed(near.map(({ shown }) => shown))}, which{' '}
                      {near.length === 1 ? 'is' : 'are'} new too.
                    </p>
                  )}
                </div>
                <Button disabled={running} onClick={() => tick([spelling], true, dayOfToday())}>
                  Taught<span className="sr-only">: {spelling.shown}</span>
                </Button>
              </li>
            ))}
          </ul>
        </Section>
      )}
    </>
  );
}

const linesToo = (lines: number): string => (lines === 1 ? ', and one line' : `, and ${lines} lines`);

const Named = ({ spelling }: { readonly spelling: SpellingToTick }) => (
  <span>
    <b className="font-word text-xl">{spelling.shown}</b> <span className="text-muted">as in</span>{' '}
    <span className="font-word">{spelling.examples[0]}</span>
  </span>
);
