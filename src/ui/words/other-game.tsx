'use client';

import { useState, useTransition } from 'react';
import { gamesForSet, playSetIn } from '@/actions/sessions';
import { groupBy } from '@/core/group-by';
import type { SetGame } from '@/server/plans/set-games';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

const wordsTaken = (words: number, of: number) => (words === of ? 'all of them' : `${words} of the ${of} words`);

interface OtherGameProps {
  readonly groupId: string;
  readonly words: readonly string[];
}

/** Any other game that words of the set can be played in; one tap plays it. */
export function OtherGame({ groupId, words }: OtherGameProps) {
  const [games, setGames] = useState<readonly SetGame[] | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const open = (): void =>
    begin(async () => {
      const found = await gamesForSet(groupId, words).catch(unreached());
      setError('error' in found ? found.error : null);
      if ('value' in found) setGames(found.value);
    });
  const play = (task: string): void =>
    begin(async () => {
      const state = await playSetIn(groupId, task, words).catch(unreached());
      setError(state?.error ?? null);
    });
  return (
    <>
      <Button className="mt-2 w-full" disabled={busy} onClick={open}>
        Another game …
      </Button>
      {error && !games && <ErrorMessage>{error}</ErrorMessage>}
      <Dialog open={games !== null} onOpenChange={() => setGames(null)} title="Play these words in another game">
        <p className="mb-3 text-muted">Each game takes the words that work in it, and leaves the rest.</p>
        <ErrorMessage>{error}</ErrorMessage>
        {games?.length === 0 && <p>No other game can be made from these words.</p>}
        {[...groupBy(games ?? [], (g) => g.family)].map(([family, of]) => (
          <section key={family} aria-label={family} className="mb-3">
            <h3 className="text-lg">{family}</h3>
            <ul className="divide-y divide-line border-y border-line">
              {of.map((game) => (
                <li key={game.id} className="flex items-center gap-3 py-1.5">
                  <p className="min-w-0 flex-1 leading-tight">
                    <b className="font-word">{game.name}</b>{' '}
                    <span className="text-muted">
                      {game.step} · {wordsTaken(game.words, words.length)}
                    </span>
                  </p>
                  <Button disabled={busy} onClick={() => play(game.id)}>
                    Play
                    <span className="sr-only">: {game.name}</span>
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </Dialog>
    </>
  );
}
