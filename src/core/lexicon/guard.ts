import { accentOf, type AccentId } from '../phonology/accents';
import { realiseSegments } from '../phonology/realise';
import { parseTranscription } from '../phonology/transcription';

/** Says whether a string of sounds would be heard as a rude or hurtful word in the accent in force. */
export type Guard = (sounds: readonly string[]) => boolean;

/**
 * The ends of *happy* and *bee* are heard alike, and so are weak and strong American ɝ. Other length tells words apart
 * (*hail*, Northern).
 */
const heard = (sounds: readonly string[]): string =>
  sounds.join(' ').replace(/iː/g, 'i').replace(/uː/g, 'u').replace(/ɚ/g, 'ɝ');

/**
 * Builds the guard of an accent from transcription lines (first row is the header). It compares sounds,
 * never letters, because dropping a sound from an everyday word can make a rude one.
 * @example guardFor(text, 'southern-british')(['ɑː', 's']) // true
 */
export function guardFor(text: string, accent: AccentId): Guard {
  const lines = text.split('\n').slice(1).filter(Boolean);
  const barred = new Set(
    lines.map((line) => heard(realiseSegments(parseTranscription(line), accentOf(accent)).map((s) => s.ipa))),
  );
  return (sounds) => barred.has(heard(sounds));
}
