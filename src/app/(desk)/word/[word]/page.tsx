import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { decoded } from '@/app/decoded';
import { guarded } from '@/app/guarded';
import { usesOf } from '@/server/sessions/word-used';
import { wordPage } from '@/server/words/word-page';
import { SubNav, WORD_PLACES } from '@/ui/kit/sub-nav';
import { WordPageScreen } from '@/ui/words/word-page-screen';

interface Props {
  params: Promise<{ word: string }>;
}

export const generateMetadata = async ({ params }: Props): Promise<Metadata> => ({
  title: decoded((await params).word),
});

export default guarded(async ({ params }: Props) => {
  const group = await currentGroup();
  const word = decoded((await params).word);
  const [page, used] = await Promise.all([wordPage(word, group.id), usesOf(word, group.id)]);
  return (
    <>
      <SubNav label="Words" places={WORD_PLACES} here="" />
      <WordPageScreen page={page} used={used} groupId={group.id} groupName={group.name} />
    </>
  );
});
