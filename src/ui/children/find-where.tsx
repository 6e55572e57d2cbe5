'use client';

import { useState, useTransition } from 'react';
import { playFind } from '@/actions/sessions';
import type { FindGame } from '@/core/choosing/finding';
import { listed } from '@/core/in-words';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { Select } from '../kit/select';
import { unreached } from '../kit/unreached';

const findLabel = (children: number) => {
  if (!children) return 'We’ve seen enough of everyone';
  return children === 1 ? 'Find their step' : `Find their step (${children} children)`;
};

interface FindWhereProps {
  readonly groupId: string;
  readonly games: readonly FindGame[];
  /** The game that is chosen at first. */
  readonly first: string;
  /** Whom it is about, in a chosen game; nobody where all is known. */
  readonly whom: (game: FindGame) => readonly string[];
  /** What it is for, in a sentence. */
  readonly what: string;
}

/** Finds where children are in a game, one after another, in a few minutes each. */
export function FindWhere({ groupId, games, first, whom, what }: FindWhereProps) {
  const [id, setId] = useState(first);
  const [error, setError] = useState<string | null>(null);
  const [starting, start] = useTransition();
  const game = games.find((g) => g.id === id) ?? games[0];
  if (!game) return null;
  const children = whom(game);
  const play = (): void =>
    start(async () => {
      const state = await playFind(groupId, game.id, children).catch(unreached('Nothing was changed.'));
      setError(state?.error ?? null);
    });
  return (
    <div className="print:hidden">
      <p className="leading-snug">{what}</p>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <Select label="Game" kind="small" value={game.id} onChange={setId} options={games.map((g) => [g.id, g.name])} />
        <Button disabled={starting || !children.length} onClick={play}>
          {findLabel(children.length)}
        </Button>
      </div>
      <ErrorMessage className="mt-3">{error}</ErrorMessage>
    </div>
  );
}

interface FindNewProps extends Pick<FindWhereProps, 'groupId' | 'games' | 'first'> {
  readonly fresh: readonly { readonly id: string; readonly name: string }[];
}

/** Finds where children are who have come new. */
export const FindNew = ({ fresh, ...rest }: FindNewProps) => (
  <FindWhere
    {...rest}
    whom={() => fresh.map((c) => c.id)}
    what={
      `${listed(fresh.map((c) => c.name))} ${fresh.length === 1 ? 'is' : 'are'} new here. Find their step: ` +
      `about ten questions${fresh.length === 1 ? '' : ' each'}, without help or praise.`
    }
  />
);

interface FindOneProps {
  readonly groupId: string;
  readonly child: {
    readonly id: string;
    readonly name: string;
  };
  readonly find: {
    readonly games: readonly FindGame[];
    readonly first: string;
  };
}

/** Finds where one child is. */
export const FindOne = ({ groupId, child, find }: FindOneProps) => (
  <FindWhere
    groupId={groupId}
    {...find}
    whom={() => [child.id]}
    what={`New here, or been away? Find their step: about ten questions, without help or praise.`}
  />
);
