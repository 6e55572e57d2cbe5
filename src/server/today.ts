import { wordsSchema } from '../core/formats/schemas';
import { gameOf, type Task } from '../core/games';
import { COUNTS, type Count } from '../core/lexicon/find';
import { minutesFor, turnsFor } from '../core/sessions/turns';
import { findWords } from './words';
import type { Group } from './groups';
import { listSessions, type SessionLine } from './look-back';

export interface ReadySession {
  readonly task: Task;
  readonly game: string;
  readonly sounds: Count;
  readonly words: readonly string[];
  readonly model: string | null;
  readonly spares: readonly string[];
  readonly minutes: number;
  readonly why: string;
}

/** Share of counted answers that were on own. */
const alone = ({ tally }: SessionLine): number => {
  const counted = tally['on-own'] + tally['with-help'] + tally['not-yet'];
  return counted ? tally['on-own'] / counted : 0;
};

/** Common practice, no source: go one sound longer when most answers came alone. */
const MOSTLY = 0.8;

/**
 * One ready session for the group: the task it did not play last, at the number of sounds it last had there,
 * one more where most answers came without help.
 */
export async function proposeToday(group: Group): Promise<ReadySession> {
  const played = await listSessions(group.id, 20);
  const task: Task = played[0]?.task === 'blending' ? 'segmenting' : 'blending';
  const before = played.find((s) => s.task === task && Object.values(s.tally).some(Boolean));
  const longer = before !== undefined && alone(before) >= MOSTLY && before.sounds < COUNTS.at(-1)!;
  const sounds = Math.min(Math.max(before ? before.sounds + (longer ? 1 : 0) : 3, COUNTS[0]), COUNTS.at(-1)!) as Count;
  const set = await findWords(wordsSchema.parse({ task, sounds, seed: played.length + 1 }), group);
  const here = group.children.filter((c) => !c.away).length;
  const words = set.set.map((w) => w.word);
  return {
    task, game: gameOf(task).name, sounds, words, model: set.model, spares: set.spares,
    minutes: minutesFor(turnsFor(words.length, here), gameOf(task).secondsPerTurn),
    why: !before
      ? 'Three sounds, everyday words: a good place to begin.'
      : longer
        ? `Last time most answers with ${before.sounds} sounds came without help, so one sound more.`
        : `The same number of sounds as last time, with other words.`,
  };
}
