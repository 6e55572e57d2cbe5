import { COUNTRY_WORDS, type Country, type Withheld } from '@/core/lexicon/country';

/** Why a word is not put forward, as a sentence for its page. */
export function withheldSentence(why: Withheld, where: Country | null, groupName: string): string {
  const { country } = COUNTRY_WORDS[where ?? 'gb'];
  const sentences: Readonly<Record<Withheld, string>> = {
    former: 'This word is no longer in the word bank. What you saved with it still works, but no game offers it.',
    'other-country':
      `People say this in ${country}, so no game here offers it. ` + 'You can let in words like this in Settings.',
    local:
      `People say this in some parts of ${country}, so no game offers it. You can let in words like this in ` +
      'Settings.',
    'put-aside': `This word is put aside for ${groupName}: no game offers it.`,
  };
  return sentences[why];
}
