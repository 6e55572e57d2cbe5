import { ACCESS_WORDS } from '../../core/answers/access';
import { COMMON_WAYS, otherLanguages, type OwnWay } from '../../core/answers/own-way';
import { listed } from '../../core/in-words';
import { accentOf, type AccentId } from '../../core/phonology/accents';
import { labelOf } from '../../core/phonology/sounds';
import { verdictOn, type PebbleCheck } from '../../core/evidence/pebbles';
import { spotWords } from './advised';

/** What an adult who does not know the child has to know, a sentence each. */
export function needsOf(way: OwnWay, checks: readonly PebbleCheck[], accent: AccentId, now: number): string[] {
  const label = (ipa: string): string => `/${labelOf(ipa, accent).label}/`;
  const common = (asked: string, says: string) => COMMON_WAYS.find((c) => c.asked === asked && c.says === says);
  const home = otherLanguages(way);
  const hears = [...new Set(checks.map((c) => c.key))].filter((key) => verdictOn(checks, key, now) === 'speech');
  return [
    ...(home ? [`At home they speak ${home}: show what a word means before you play with it.`] : []),
    ...way.access.map((a) => `${ACCESS_WORDS[a].name}.`),
    ...way.swaps.map(({ asked, says }) => {
      const [word, said] = common(asked, says)?.example ?? [label(asked), label(says)];
      return `Says “${said}” for “${word}”: that’s right for them.`;
    }),
    ...(way.drops.length
      ? [`When talking, leaves out ${listed(way.drops.map(label))} next to another sound. Don’t correct it.`]
      : []),
    ...(way.accent && way.accent !== accent
      ? [`Speaks with another accent (${accentOf(way.accent).name}): their vowels are right.`]
      : []),
    ...(way.lowOnly
      ? ['Finds high sounds like “s” and “f” hard to hear: stay close, and let them see your face.']
      : []),
    ...hears.map((key) => `May not say ${spotWords(key, accent)} yet, but hears it: that’s right for them.`),
  ];
}
