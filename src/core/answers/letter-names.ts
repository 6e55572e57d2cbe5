import { accentOf, type AccentId } from '../phonology/accents';

/** The names of the letters as they are said; z has one in Britain and another in America. From memory. */
const SAID = `
a:ay b:bee c:see d:dee e:ee f:eff g:jee h:aitch i:eye j:jay k:kay l:ell m:em n:en o:oh p:pee q:cue r:ar s:ess t:tee
u:you v:vee w:double-you x:eks y:why`;
const NAMES: Readonly<Record<string, string>> = Object.fromEntries(
  SAID.trim()
    .split(/\s+/)
    .map((pair) => pair.split(':') as [string, string]),
);

/** Names shown of a long word. */
const MOST = 3;

/**
 * The names of a word’s letters, as a child may say them for its sounds.
 * @example letterNames('frog', 'scottish') // 'eff · ar · oh …'
 */
export function letterNames(word: string, accent: AccentId): string {
  const zed = accentOf(accent).country === 'us' ? 'zee' : 'zed';
  const names = [...word].flatMap((letter) => (letter === 'z' ? zed : (NAMES[letter] ?? [])));
  const shown = names.slice(0, MOST).join(' · ');
  return names.length > MOST ? `${shown} …` : shown;
}
