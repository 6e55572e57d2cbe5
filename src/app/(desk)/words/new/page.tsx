import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { consonantPad, vowelPad } from '@/core/phonology/pad';
import { ownWordInput } from '@/server/words/own-words';
import { getSettings } from '@/server/setting/settings';
import { SubNav, WORD_PLACES } from '@/ui/kit/sub-nav';
import { OwnWordForm } from '@/ui/words/own-word-form';

export const metadata: Metadata = { title: 'Add words' };

export default guarded(
  async ({ searchParams }: { searchParams: Promise<Record<string, string | string[] | undefined>> }) => {
    const { word } = await searchParams;
    const { accent } = await getSettings();
    const slim = ({ key, label, as }: ReturnType<typeof vowelPad>[number]) => ({ key, label, ...(as ? { as } : {}) });
    return (
      <>
        <SubNav label="Words" places={WORD_PLACES} here="/words/new" />
        <OwnWordForm
          start={typeof word === 'string' ? word : ''}
          before={typeof word === 'string' ? await ownWordInput(word) : null}
          consonants={consonantPad(accent).map(slim)}
          vowels={vowelPad(accent).map(slim)}
        />
      </>
    );
  },
);
