import type { SoundPage } from '@/server/words/sounds';
import type { ShownWord } from '@/server/words/words';
import { BounceLine, MarkShape } from '../kit/bounce-line';
import { Link } from '../kit/link';
import { Picture } from '../kit/picture';

const MAKING_WORDS = { clip: 'Clip it', hold: 'Hold it', light: 'Say it lightly', vowel: 'A vowel' } as const;

/** One sound: how it is made, the usual slip, a check, and words with it first, in the middle and last. */
export function SoundScreen({ page }: { page: SoundPage }) {
  const { how, facts } = page;
  return (
    <>
      <p className="mb-2">
        <Link className="quiet px-0" href="/sounds">
          All sounds
        </Link>
      </p>
      <div className="mb-6 flex flex-wrap items-end gap-x-8 gap-y-3">
        <h1 className="text-7xl">/{page.label}/</h1>
        {page.as && (
          <p className="pb-2 text-2xl text-muted">
            as in <span className="font-word text-ink">{page.as}</span>
          </p>
        )}
        <span className="pb-3">
          <MarkShape making={page.making} large />
        </span>
        <p className="pb-2 text-lg text-muted">
          {MAKING_WORDS[page.making]}
          {facts && (
            <>
              {' '}
              · {facts.voiced ? 'with your voice' : 'without your voice'} · {facts.place} {facts.manner}
            </>
          )}{' '}
          · <span className="font-word">[{page.ipa}]</span>
        </p>
      </div>
      <dl className="mb-9 grid max-w-4xl gap-x-8 divide-y divide-line border-y border-line text-xl">
        <Fact name="How it is made">{how.made}</Fact>
        <Fact name="Say it alone">{page.advice}</Fact>
        <Fact name="What often goes wrong">{how.slip}</Fact>
        <Fact name="Check it">{how.check}</Fact>
      </dl>
      <div className="grid gap-x-10 gap-y-8 sm:grid-cols-2 lg:grid-cols-3">
        <Words title="First" words={page.first} ipa={page.ipa} place="first" />
        <Words title="In the middle" words={page.middle} ipa={page.ipa} place="middle" />
        <Words title="Last" words={page.last} ipa={page.ipa} place="last" />
      </div>
    </>
  );
}

const Fact = ({ name, children }: { name: string; children: string }) => (
  <div className="grid gap-x-6 py-3 sm:grid-cols-[11rem_1fr]">
    <dt className="text-base leading-8 text-muted">{name}</dt>
    <dd>{children}</dd>
  </div>
);

function Words({
  title,
  words,
  ipa,
  place,
}: {
  title: string;
  words: readonly ShownWord[];
  ipa: string;
  place: string;
}) {
  return (
    <section>
      <h2 className="mb-1 text-2xl">{title}</h2>
      {words.length ? (
        <ul className="border-t border-line">
          {words.map((w) => (
            <li key={w.word} className="flex min-h-12 items-center gap-4 border-b border-line">
              <Link
                href={`/word/${w.word}`}
                className="w-28 font-word text-xl font-bold hover:underline hover:underline-offset-4"
              >
                {w.word}
              </Link>
              <span className="min-w-0 flex-1">
                <BounceLine marks={w.marks} count={w.count} size="list" />
              </span>
              {w.picture && <Picture code={w.picture} size={30} />}
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-muted">No word in our list has it there.</p>
      )}
      {words.length > 0 && (
        <p>
          <Link className="quiet px-0" href={`/words?sounds=any&place=${place}&sound=${encodeURIComponent(ipa)}`}>
            All of them
          </Link>
        </p>
      )}
    </section>
  );
}
