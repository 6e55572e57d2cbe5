import type { LettersPage } from '@/server/words/letters-page';
import { buttonLook } from '../kit/button';
import { Link } from '../kit/link';
import { Toasts } from '../kit/toast';
import { LinesToRead } from './lines-to-read';
import { OddWords } from './odd-words';
import { Opening } from './opening';
import { SpellingGrid } from './spelling-grid';
import { TypedSpellings } from './typed-spellings';

interface LettersScreenProps {
  readonly group: { readonly id: string; readonly name: string };
  readonly page: LettersPage;
}

/** What a group was taught, in sounds and in letters, and what each next spelling opens. */
export function LettersScreen({ group, page }: LettersScreenProps) {
  return (
    <div className="max-w-5xl">
      <p className="mt-1 mb-6 text-lg text-muted">
        {page.taught === 0
          ? `Tick the spellings you’ve taught ${group.name}, each beside its sound.`
          : `For ${group.name}: ${page.taught === 1 ? 'one spelling' : `${page.taught} spellings`}.`}{' '}
        {page.readable > 0 && (
          <Link className="text-ink underline underline-offset-4" href="/words?sounds=any&only=readable">
            {page.readable === 1 ? 'One word they can read' : `${page.readable} words they can read`}
          </Link>
        )}
      </p>
      <TypedSpellings groupId={group.id} taught={page.taught > 0} />
      <Opening groupId={group.id} next={page.next} thisWeek={page.thisWeek} />
      <p className="mt-8">
        <Link className={buttonLook({})} href={`/print/letters/${group.id}`}>
          Cards, words and lines on paper
        </Link>
      </p>
      <Toasts>
        <SpellingGrid groupId={group.id} rows={page.rows} />
      </Toasts>
      <LinesToRead lines={page.lines} />
      <OddWords groupId={group.id} words={page.words} />
    </div>
  );
}
