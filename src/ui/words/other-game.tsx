'use client';

import { useState, useTransition } from 'react';
import { gamesForSet, playSetIn } from '@/actions/sessions';
import { groupBy } from '@/core/group-by';
import type { SetGame } from '@/server/plans/set-games';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { otherGame as say } from './text';

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
      const found = await gamesForSet(groupId, words).catch(() => ({
        ok: false as const,
        error: say.serverCannotReached,
      }));
      setError(found.ok ? null : found.error);
      if (found.ok) setGames(found.value);
    });
  const play = (task: string): void =>
    begin(async () => {
      const state = await playSetIn(groupId, task, words).catch(() => ({ error: say.serverCannotReached }));
      setError(state?.error ?? null);
    });
  return (
    <>
      <Button className="mt-2 w-full" disabled={busy} onClick={open}>
        {say.anotherGame}
      </Button>
      {error && !games && <ErrorMessage>{error}</ErrorMessage>}
      <Dialog open={games !== null} onOpenChange={() => setGames(null)} title={say.playInAnother}>
        <p className="mb-3 text-muted">{say.usesThoseThatFit}</p>
        {error && <ErrorMessage>{error}</ErrorMessage>}
        {games?.length === 0 && <p>{say.noGame}</p>}
        {[...groupBy(games ?? [], (g) => g.family)].map(([family, of]) => (
          <section key={family} aria-label={family} className="mb-3">
            <h3 className="text-lg">{family}</h3>
            <ul className="divide-y divide-line border-y border-line">
              {of.map((game) => (
                <li key={game.id} className="flex items-center gap-3 py-1.5">
                  <p className="min-w-0 flex-1 leading-tight">
                    <b className="font-word">{game.name}</b>{' '}
                    <span className="text-muted">
                      {game.step} · {say.takes(game.words, words.length)}
                    </span>
                  </p>
                  <Button disabled={busy} onClick={() => play(game.id)}>
                    {say.play}
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
