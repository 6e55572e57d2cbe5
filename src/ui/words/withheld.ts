import { COUNTRY_WORDS, type Country, type Withheld } from '@/core/lexicon/country';
import { withheld as say } from './text';

/** Why a word is not put forward, as a sentence for its page. */
export function withheldSentence(why: Withheld, where: Country | null, groupName: string): string {
  const { country } = COUNTRY_WORDS[where ?? 'gb'];
  const sentences: Readonly<Record<Withheld, string>> = {
    former: say.wordLeftWord,
    'other-country': say.peopleSayNo(country),
    local: say.peopleSaySome(country),
    'put-aside': say.wordPutAside(groupName),
  };
  return sentences[why];
}
