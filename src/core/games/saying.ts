import type { Word } from '../lexicon/entry';
import type { AccentId } from '../phonology/accents';
import type { Making } from '../phonology/consonants';
import { makingOf, MAKING_ADVICE } from '../phonology/sounds';
import { voiceLabel, voiceRow } from '../phonology/voice-label';

/** Sounds as labels with dots between, for reading aloud. Example: `s … l … u … g`. */
export const spokenApart = (word: Word, between = ' … '): string =>
  voiceRow(
    word.sounds.map((s) => s.ipa),
    word.accent,
    between,
  );

/** A sound between slashes, told from another with the same label. Example: `/sh/`, `/oo/ (as in book)`. */
export function slashed(ipa: string, accent: AccentId): string {
  const { label, as } = voiceLabel(ipa, accent);
  return as ? `/${label}/ (as in ${as})` : `/${label}/`;
}

const list = (labels: readonly string[]): string =>
  labels.length < 2 ? labels.join('') : `${labels.slice(0, -1).join(', ')} and ${labels.at(-1)}`;

/** How to say the word's sounds alone: which to clip, which to hold. Example: "Hold /s/ and /l/. Clip /g/: no “uh”." */
export function sayingAdvice(word: Word): string {
  return advice([...new Set(word.sounds.map((s) => s.ipa))], word.accent);
}

/** How to say sounds alone. Example: `advice(['s'], 'scottish') // 'Hold /s/.'`. */
export function advice(sounds: readonly string[], accent: AccentId): string {
  const of = (making: Making): string[] =>
    sounds.filter((ipa) => makingOf(ipa) === making).map((ipa) => slashed(ipa, accent));
  const [hold, clip, light] = [of('hold'), of('clip'), of('light')];
  return [
    hold.length ? `Hold ${list(hold)}.` : '',
    clip.length ? `Clip ${list(clip)}: no “uh”.` : '',
    light.length ? `${list(light)} lightly.` : '',
    !hold.length && !clip.length && !light.length ? MAKING_ADVICE.vowel : '',
  ]
    .filter(Boolean)
    .join(' ');
}
