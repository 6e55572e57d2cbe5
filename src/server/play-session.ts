import { gameOf } from '../core/games';
import { makeItem, type Item } from '../core/games/item';
import type { Entry } from '../core/sessions/log';
import { minutesFor } from '../core/sessions/turns';
import { preparedBank } from './bank';
import { sessionLog, sessionRecord } from './session-record';

export interface PlaySession {
  readonly id: string;
  readonly task: string;
  readonly game: string;
  readonly gesture: string;
  readonly scoresSounds: boolean;
  readonly sounds: number;
  readonly groupName: string;
  readonly children: readonly { readonly id: string; readonly name: string }[];
  readonly words: readonly string[];
  readonly spares: readonly string[];
  readonly model: string;
  readonly modelScript: readonly [string, string, string];
  readonly items: Readonly<Record<string, Item>>;
  readonly turns: number;
  readonly minutes: number;
  readonly startedAt: number;
  readonly log: readonly Entry[];
}

/** All that Play needs, with every item made and proved, so that the browser computes nothing of the craft. */
export async function playSession(id: string): Promise<PlaySession> {
  const session = await sessionRecord(id);
  const game = gameOf(session.task);
  const { byName, context } = await preparedBank(session.accent, session.conventions);
  const there = (words: readonly string[]): string[] => words.filter((w) => byName.has(w));
  const words = there(session.words);
  const spares = there(session.spares);
  const model = session.model && byName.has(session.model) ? session.model : words[0]!;
  const items = Object.fromEntries(
    [...new Set([...words, ...spares, model])].map((w) => [w, makeItem(game, byName.get(w)!, context)]),
  );
  return {
    id, task: session.task, game: game.name, gesture: game.gesture, scoresSounds: game.scoresSounds,
    sounds: session.sounds, groupName: session.groupName, children: session.children, words, spares, model,
    modelScript: game.modelScript(byName.get(model)!), items, turns: session.turns,
    minutes: minutesFor(session.turns, game.secondsPerTurn), startedAt: session.startedAt, log: await sessionLog(id),
  };
}
