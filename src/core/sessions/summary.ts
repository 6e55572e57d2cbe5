import type { Outcome } from '../answers/outcome';

/** One standing answer, as Look back and exports see it. */
export interface Marked {
  readonly childId: string | null;
  readonly word: string;
  readonly outcome: Outcome;
  /** The sounds of the target in the accent of the session. */
  readonly sounds: readonly string[];
  readonly missed: readonly number[];
}

export type Tally = Readonly<Record<Outcome, number>>;

const EMPTY: Tally = { 'on-own': 0, 'with-help': 0, 'not-yet': 0, 'no-reply': 0, 'does-not-count': 0 };

/** An outcome, and how often; once where nothing is said. */
interface CountedTurn {
  readonly outcome: Outcome;
  readonly times?: number;
}

/** How often each outcome was marked. Example: `tally([{ outcome: 'on-own' }])['on-own'] // 1`. */
export function tally(answers: readonly CountedTurn[]): Tally {
  const out = { ...EMPTY };
  for (const { outcome, times = 1 } of answers) out[outcome] += times;
  return out;
}

export interface Slipped {
  readonly ipa: string;
  readonly times: number;
  readonly heard: number;
  readonly words: readonly string[];
}

/**
 * The sounds that slipped, most often first, with how often each was asked for in answers that count.
 * *No reply* and *doesn't count* say nothing about sounds and are left out.
 */
export function slippedSounds(answers: readonly Marked[]): Slipped[] {
  const rows = new Map<string, { times: number; heard: number; words: Set<string> }>();
  for (const answer of answers) {
    if (answer.outcome === 'no-reply' || answer.outcome === 'does-not-count') continue;
    answer.sounds.forEach((ipa, at) => {
      const row = rows.get(ipa) ?? { times: 0, heard: 0, words: new Set<string>() };
      row.heard += 1;
      if (answer.missed.includes(at)) {
        row.times += 1;
        row.words.add(answer.word);
      }
      rows.set(ipa, row);
    });
  }
  return [...rows]
    .filter(([, row]) => row.times > 0)
    .map(([ipa, row]) => ({ ipa, times: row.times, heard: row.heard, words: [...row.words] }))
    .sort((a, b) => b.times - a.times || a.ipa.localeCompare(b.ipa));
}
