import { ACCESS_WORDS } from '../../core/answers/access';
import { COMMON_WAYS, type OwnWay } from '../../core/answers/own-way';
import { listed } from '../../core/in-words';
import { accentOf, type AccentId } from '../../core/phonology/accents';
import { labelOf } from '../../core/phonology/sounds';
import { verdictOn, type PebbleCheck } from '../../core/progress/pebbles';
import { spotWords } from './advised';
import { needs as say } from './text';

/** What an adult who does not know the child has to know, a sentence each. */
export function needsOf(way: OwnWay, checks: readonly PebbleCheck[], accent: AccentId, now: number): string[] {
  const label = (ipa: string): string => `/${labelOf(ipa, accent).label}/`;
  const common = (asked: string, says: string) => COMMON_WAYS.find((c) => c.asked === asked && c.says === says);
  const hears = [...new Set(checks.map((c) => c.key))].filter((key) => verdictOn(checks, key, now) === 'speech');
  return [
    ...way.access.map((a) => `${ACCESS_WORDS[a].name}.`),
    ...way.swaps.map(({ asked, says }) => {
      const [word, said] = common(asked, says)?.example ?? [label(asked), label(says)];
      return say.saysFor(word, said);
    }),
    ...(way.drops.length ? [say.drops(listed(way.drops.map(label)))] : []),
    ...(way.accent && way.accent !== accent ? [say.speaks(accentOf(way.accent).name)] : []),
    ...(way.lowOnly ? [say.noHighSounds] : []),
    ...hears.map((key) => say.hearsIt(spotWords(key, accent))),
  ];
}
