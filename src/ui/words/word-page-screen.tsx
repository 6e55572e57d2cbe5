import { clsx } from 'clsx';
import { format } from 'date-fns';
import type { Change } from '@/core/lexicon/neighbours';
import type { WordUse } from '@/server/sessions/word-used';
import type { WordPage } from '@/server/words/word-page';
import { BounceLine } from '../kit/bounce-line';
import { CautionMark, cautionLines } from '../kit/cautions';
import { Link } from '../kit/link';
import { Picture } from '../kit/picture';
import { OwnTick } from './own-tick';
import { RemoveWord } from './remove-word';
import type { ShownWord } from '@/server/words/words';
import { AsideButton } from './aside-button';
import { withheldSentence } from './withheld';
import type { ReactNode } from 'react';
import { Section } from '../kit/section';

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];
const BAND_WORDS = {
  1: 'an everyday word',
  2: 'a word most children know',
  3: 'a word to explain first',
} as const;
const DOUBT_WORDS = {
  homograph: 'Another word is spelt the same but said differently, so we leave it out unless you ask for it.',
  'two-ways': 'People here say it in two ways, so we leave it out unless you ask for it.',
} as const;

const CHANGES: Readonly<Record<Change, (nth: string, label: string) => string>> = {
  swap: (nth, label) => `swap the ${nth} sound, /${label}/`,
  'leave-out': (nth, label) => `leave out the ${nth} sound, /${label}/`,
  add: (nth) => `add a sound, ${nth}`,
};
const change = (kind: Change, at: number, label: string): string => CHANGES[kind](String(ORDINALS[at]), label);

/** Everything about one word: how it is said, counted, spelt, what is near it, where it was played. */
interface WordPageScreenProps {
  readonly page: WordPage;
  readonly used: readonly WordUse[];
  readonly groupId: string;
  readonly groupName: string;
}

export function WordPageScreen({ page, used, groupId, groupName }: WordPageScreenProps) {
  const { word } = page;
  return (
    <div className="grid grid-cols-1 gap-x-14 gap-y-8 lg:grid-cols-[minmax(0,1fr)_23rem]">
      <AboutSounds word={word} page={page} groupName={groupName} />

      <aside className="flex flex-col gap-7">
        {page.accents.length > 0 && <Accents page={page} />}
        <Section id="counts" title="Counted" heading="mb-2 text-2xl">
          <ul className="divide-y divide-line border-y border-line">
            <li className="flex justify-between gap-3 py-2 font-bold">
              <span>As we count</span> {word.count}
            </li>
            {page.counts.map((c) => (
              <li key={c.name} className="flex justify-between gap-3 py-2">
                <span>{c.name}</span> {c.count}
              </li>
            ))}
          </ul>
        </Section>
        <Used groupName={groupName} used={used}>
          <AsideButton groupId={groupId} groupName={groupName} word={word.word} aside={page.aside} />
        </Used>
        <Facts word={word} page={page} />
      </aside>
    </div>
  );
}

/** How well known it is, what to watch for, and whether it is ours. */
function Facts({ word, page }: { readonly word: ShownWord; readonly page: WordPage }) {
  return (
    <Section id="facts" title="Good to know" heading="mb-2 text-2xl">
      <p>{word.own ? 'One of our own words' : `It’s ${BAND_WORDS[page.band]}`}.</p>
      {(word.prop || page.owned) && <OwnTick word={word.word} owned={page.owned} />}
      {word.cautions.length > 0 && (
        <div className="mt-2">
          <CautionMark cautions={word.cautions} />
          <ul className="mt-1 text-[0.95rem] text-muted">
            {cautionLines(word.cautions).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
      )}
      {word.own && (
        <div className="mt-3 flex flex-wrap gap-2">
          <Link className="plain" href={`/words/new?word=${encodeURIComponent(word.word)}`}>
            Change this word
          </Link>
          <RemoveWord word={word.word} />
        </div>
      )}
    </Section>
  );
}

/** Where this group played it. */
function Used({
  groupName,
  used,
  children,
}: {
  readonly groupName: string;
  readonly used: readonly WordUse[];
  readonly children: ReactNode;
}) {
  return (
    <section aria-labelledby="used">
      <h2 id="used" className="mb-2 text-2xl">
        With {groupName}
      </h2>
      {used.length ? (
        <ul className="divide-y divide-line border-y border-line">
          {used.map((u) => (
            <li key={u.sessionId}>
              <Link
                href={`/look-back/${u.sessionId}`}
                className={clsx(
                  'flex min-h-12 items-center justify-between gap-3 hover:underline',
                  'hover:underline-offset-4',
                )}
              >
                <span>
                  {u.title}, {format(u.at, 'd MMMM')}
                </span>
                <span className="text-muted">
                  {u.answers} {u.answers === 1 ? 'answer' : 'answers'}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-muted">You haven’t played it with this group yet.</p>
      )}
      <div className="mt-3">{children}</div>
    </section>
  );
}

/** The word in every accent. */
function Accents({ page }: { readonly page: WordPage }) {
  return (
    <Section id="accents" title="How each accent says it" heading="mb-2 text-2xl">
      <ul className="divide-y divide-line border-y border-line">
        {page.accents.map((a) => (
          <li key={a.id} className={`py-2 ${a.here ? 'font-bold' : ''}`}>
            <span className="flex justify-between gap-3">
              <span>
                {a.name}
                {a.here && ' · ours'}
              </span>
              <span className="font-word">/{a.ipa}/</span>
            </span>
            <span className="mt-1 flex items-center justify-between gap-3">
              <BounceLine marks={a.marks} count={a.count} size="list" />
              <span>{a.count}</span>
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}

/** Its spelling, cut where the sounds are. */
function Letters({ boxes }: { readonly boxes: WordPage['letters'] }) {
  return (
    <>
      <h2 className="mt-8 mb-2 text-2xl">Letters under the sounds</h2>
      <ul className="flex flex-wrap gap-2">
        {boxes.map((box, i) => (
          <li
            key={i}
            className="flex min-w-16 flex-col items-center rounded-xl border border-line-strong bg-card px-3 py-1.5"
          >
            <span className="font-word text-2xl font-bold">{box.letters}</span>
            <span className="text-muted">
              {box.labels.length ? box.labels.map((l) => `/${l}/`).join(' ') : 'silent here'}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** What there is to say about using the word here. */
function notesOn({ word, careful, where }: WordPage, groupName: string): string[] {
  return [
    ...(word.withheld ? [withheldSentence(word.withheld, where, groupName)] : []),
    ...(word.doubt ? [DOUBT_WORDS[word.doubt]] : []),
    ...(careful ? [`Most people leave out the /${careful}/. You may hear it in careful speech.`] : []),
  ];
}

/** How the word is said and spelt, and what is near it. */
function AboutSounds({
  word,
  page,
  groupName,
}: {
  readonly word: ShownWord;
  readonly page: WordPage;
  readonly groupName: string;
}) {
  return (
    <div className="min-w-0">
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <h1 className="text-6xl wrap-anywhere">{word.word}</h1>
        <p className="pb-1 text-xl">
          <strong>{word.count}</strong> sounds
        </p>
        {word.picture && (
          <span className="ml-auto">
            <Picture code={word.picture} size={84} />
          </span>
        )}
      </div>
      <p className="mt-3 mb-6 text-lg text-muted">
        {word.meaning}
        {page.sentence && (
          <>
            . <span className="text-ink">{page.sentence}</span>
          </>
        )}
      </p>
      <BounceLine marks={word.marks} count={word.count} size="full" />
      {word.contested && (
        <p className="mt-2 border-l-4 border-marigold py-1 pl-4">
          {word.contested[0]?.toUpperCase()}
          {word.contested.slice(1)}.
        </p>
      )}
      {notesOn(page, groupName).map((note) => (
        <p key={note} className="mt-2 border-l-4 border-marigold py-1 pl-4">
          {note}
        </p>
      ))}
      {page.show && (
        <p className="mt-4 text-lg">
          <strong>Show it:</strong> {page.show}
        </p>
      )}

      <Letters boxes={page.letters} />

      <h2 className="mt-8 mb-2 text-2xl">One sound away</h2>
      {page.neighbours.length ? (
        <ul className="divide-y divide-line border-y border-line">
          {page.neighbours.map((row) => (
            <li key={`${row.change} ${row.at}`} className="grid gap-x-5 py-2 sm:grid-cols-[15rem_minmax(0,1fr)]">
              <span className="text-muted">{change(row.change, row.at, row.label)}</span>
              <WordList words={row.words} />
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-muted">No word in the word bank is one sound away.</p>
      )}

      <h2 className="mt-8 mb-2 text-2xl">Rhymes</h2>
      {page.rhymes.length ? (
        <WordList words={page.rhymes} />
      ) : (
        <p className="text-muted">No word in the word bank rhymes with it in your accent.</p>
      )}
    </div>
  );
}

const WordList = ({ words }: { words: readonly string[] }) => (
  <ul className="flex flex-wrap gap-x-1">
    {words.map((w) => (
      <li key={w}>
        <Link
          href={`/word/${w}`}
          className={clsx(
            'flex min-h-10 items-center rounded-lg px-2 font-word text-xl hover:bg-card',
            'hover:underline hover:underline-offset-4',
          )}
        >
          {w}
        </Link>
      </li>
    ))}
  </ul>
);
