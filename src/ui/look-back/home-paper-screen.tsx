'use client';

import { useState } from 'react';
import type { HomePaper } from '@/server/sessions/home-page';
import { Link } from '../kit/link';
import { PrintedPart } from '../kit/printed-part';
import { PrintButton } from '../words/print-button';

const COPIED_WORDS = {
  '': '',
  yes: 'Copied.',
  no: 'This browser won’t let us copy. The text file has the same words.',
} as const;

/** The page for families: to print, to copy, or as a file. */
export function HomePaperScreen({ paper }: { paper: HomePaper }) {
  const [copied, setCopied] = useState<'' | 'yes' | 'no'>('');
  const copy = (): void =>
    void navigator.clipboard.writeText(paper.text).then(
      () => setCopied('yes'),
      () => setCopied('no'),
    );
  return (
    <main className="mx-auto max-w-[46rem] px-4 py-6 print:max-w-none print:p-0">
      <nav aria-label="Taking it home" className="mb-8 flex flex-wrap items-center gap-3 print:hidden">
        <Link className="quiet px-1" href={`/look-back/${paper.sessionId}`}>
          Look back
        </Link>
        <button type="button" className="plain" onClick={copy}>
          Copy as text
        </button>
        <a className="plain" href={`/api/sessions/${paper.sessionId}/home`} download>
          Text file
        </a>
        <PrintButton />
        <p role="status" className="w-full text-muted empty:hidden">
          {COPIED_WORDS[copied]}
        </p>
      </nav>
      <h1 className="text-5xl print:text-4xl">{paper.title}</h1>
      <p className="mt-1 text-xl text-muted">
        {paper.group} · {paper.day}
      </p>
      <ul className="mt-6 space-y-1.5 font-word text-2xl leading-snug print:mt-4 print:text-xl">
        {paper.played.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <PrintedPart heading="Try this at home" lines={paper.game ? [paper.game] : []} />
      {paper.words.length > 0 && (
        <section className="mt-7 break-inside-avoid print:mt-4">
          <h2 className="mb-2 text-2xl print:mb-1 print:text-xl">Some of our words</h2>
          <dl className="grid grid-cols-[max-content_1fr] items-baseline gap-x-8 border-y border-line py-2 font-word">
            {paper.words.map(({ word, apart }) => (
              <div key={word} className="contents">
                <dt className="py-1 text-3xl font-bold print:py-0.5 print:text-2xl">{word}</dt>
                <dd className="text-2xl text-muted print:text-xl">{apart}</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      <PrintedPart heading="How to say the sounds" lines={paper.sounds} />
      <p className="mt-7 text-xl print:mt-4 print:text-lg">{paper.close}</p>
    </main>
  );
}
