import { phonemize } from 'phonemizer';

/** The voices of eSpeak NG that words are compared with. */
const VOICES = ['en-us', 'en-gb-x-rp', 'en-gb-x-gbclan', 'en-gb-scotland'] as const;
export type Voice = (typeof VOICES)[number];

/** What each voice says of a word, in its own marks. What this file imports is what those readings rest on. */
export async function askVoices(word: string): Promise<Record<Voice, string>> {
  const said: [Voice, string][] = [];
  for (const voice of VOICES) said.push([voice, ((await phonemize(word, voice)) as string[]).join(' ')]);
  return Object.fromEntries(said) as Record<Voice, string>;
}
