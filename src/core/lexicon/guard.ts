import { accentOf, type AccentId } from '../phonology/accents';
import { realiseSegments } from '../phonology/realise';
import { ENDINGS, withTail } from './endings';
import { parseTranscription } from '../phonology/transcription';

/** Says whether a string of sounds would be heard as a rude or hurtful word in the accent in force. */
export type Guard = (sounds: readonly string[]) => boolean;

/**
 * The ends of *happy* and *bee* are heard alike, and so are weak and strong American ɝ. Other length tells words apart
 * (*hail*, Northern). A short /oo/ that ends what is left of a word is heard as the long one, which alone ends words.
 */
const heard = (sounds: readonly string[]): string =>
  sounds.join(' ').replace(/iː/g, 'i').replace(/uː/g, 'u').replace(/ʊ$/, 'u').replace(/ɚ/g, 'ɝ');

/**
 * Builds the guard of an accent from transcription lines (first row is the header), each with the endings it may have
 * where not all: a noun that is no verb. It compares sounds,
 * never letters, because dropping a sound from an everyday word can make a rude one; each with its regular endings,
 * because losing one more sound can make those.
 * @example guardFor(text, 'southern-british')(['ɑː', 's']) // true
 */
export function guardFor(text: string, accent: AccentId): Guard {
  const lines = text.split('\n').slice(1).filter(Boolean);
  const said = (line: string): string =>
    heard(realiseSegments(parseTranscription(line), accentOf(accent)).map((s) => s.ipa));
  const barred = new Set(
    lines.flatMap((row) => {
      const [line = '', only] = row.split('\t');
      const endings = ENDINGS.filter((ending) => !only || only.split(',').includes(ending));
      return [line, ...endings.map((ending) => withTail(line, ending))].map(said);
    }),
  );
  return (sounds) => barred.has(heard(sounds));
}
