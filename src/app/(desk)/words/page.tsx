import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { wordsSchema } from '@/core/formats/schemas';
import { soundsToTick } from '@/server/words/sounds';
import { tickedSounds } from '@/server/words/taught';
import { savedSet } from '@/server/words/word-sets';
import { findWords } from '@/server/words/words';
import { SubNav, WORD_PLACES } from '@/ui/kit/sub-nav';
import { WordsScreen } from '@/ui/words/words-screen';

export const metadata: Metadata = { title: 'Words' };

export default guarded(
  async ({ searchParams }: { searchParams: Promise<Record<string, string | string[] | undefined>> }) => {
    const first = Object.fromEntries(
      Object.entries(await searchParams).map(([k, v]) => [k, Array.isArray(v) ? v[0] : v]),
    );
    const asked = wordsSchema.parse(first);
    const group = await currentGroup();
    const saved = asked.set ? await savedSet(asked.set).catch(() => null) : null;
    // A saved set opened by its address alone shows its own words.
    const ofSet = saved ? { ...asked, words: asked.words ?? [...saved.words] } : null;
    const choice = ofSet ?? { ...asked, set: undefined };
    return (
      <>
        <SubNav label="Words" places={WORD_PLACES} here="/words" />
        <WordsScreen
          choice={choice}
          group={group}
          found={await findWords(choice, group)}
          saved={saved}
          taught={[...(await tickedSounds(group.id))]}
          tickRows={(await soundsToTick()).rows}
        />
      </>
    );
  },
);
