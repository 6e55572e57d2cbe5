'use client';

import { useRouter } from 'next/navigation';
import { useId, useState, useTransition } from 'react';
import { importFile, lookAtFile } from '@/actions/words';
import type { ImportReport } from '@/server/words/word-sets';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { sure } from '@/core/sure';

const rowsRead = (words: number, rows: number, refused: number) =>
  `${words} of ${rows} rows can be used${refused ? `, ${refused} left out` : ''}. Nothing has been saved yet.`;

const saveWords = (words: number) => `Save ${words} ${words === 1 ? 'word' : 'words'}`;

const STATE_WORDS = {
  known: 'already in the word bank',
  new: 'new: we’ll add it to your own words',
  refused: 'left out',
} as const;

interface Read {
  readonly text: string;
  readonly name: string;
  readonly report: ImportReport;
}

/** A file is read and reported on row by row; nothing is kept until a person says so. */
export function ImportSet() {
  const router = useRouter();
  const id = useId();
  const [read, setRead] = useState<Read | null>(null);
  const [error, setError] = useState('');
  const [said, setSaid] = useState('');
  const [busy, begin] = useTransition();
  const choose = (file: File | undefined): void => {
    if (!file) return;
    begin(async () => {
      const text = await file.text();
      const answer = await lookAtFile(text, file.name);
      setError(answer.ok ? '' : answer.error);
      setSaid('');
      setRead(answer.ok ? { text, name: file.name, report: answer.value } : null);
    });
  };
  const keep = (): void =>
    begin(async () => {
      const answer = await importFile(sure(read).text, sure(read).name);
      if (!answer.ok) return setError(answer.error);
      setSaid(`${sure(read).report.name} is in the list.`);
      setRead(null);
      router.refresh();
    });
  const report = read?.report;
  const refused = report?.rows.filter((r) => r.state === 'refused').length ?? 0;
  return (
    <section aria-labelledby={`${id}h`} className="h-max rounded-2xl bg-card p-6">
      <h2 id={`${id}h`} className="mb-1 text-2xl">
        Open a set from a file
      </h2>
      <p className="mb-3 text-muted">
        A CSV file with a column called “word”, or a set saved as JSON. You’ll see every row before anything is saved.
      </p>
      <label htmlFor={id} className="plain w-full cursor-pointer has-focus-visible:outline-3">
        {busy ? 'Reading…' : 'Choose a file'}
        <input
          id={id}
          type="file"
          accept=".csv,.json,text/csv,application/json"
          className="sr-only"
          disabled={busy}
          onChange={(e) => {
            choose(e.target.files?.[0]);
            e.target.value = '';
          }}
        />
      </label>
      <div aria-live="polite" className="mt-3">
        {error && <ErrorMessage>{error}</ErrorMessage>}
        {said && <p className="text-green">{said}</p>}
        {report?.fault && <ErrorMessage>{report.fault} Nothing was imported.</ErrorMessage>}
        {report && !report.fault && (
          <>
            <h3 className="mt-2 mb-1 text-xl wrap-anywhere">{report.name}</h3>
            <p className="mb-2">{rowsRead(report.words.length, report.rows.length, refused)}</p>
            <Rows report={report} />
            <div className="flex gap-2">
              <Button kind="action" className="flex-1" disabled={busy || !report.words.length} onClick={keep}>
                {saveWords(report.words.length)}
              </Button>
              <Button onClick={() => setRead(null)}>Don’t save it</Button>
            </div>
          </>
        )}
      </div>
    </section>
  );
}

/** Every row of the file, and what becomes of it. */
function Rows({ report }: { readonly report: ImportReport }) {
  return (
    <ol
      tabIndex={0}
      aria-label="Rows in the file"
      className="relative mb-3 max-h-80 divide-y divide-line overflow-y-auto border-y border-line"
    >
      {report.rows.map((row) => (
        <li key={row.row} className="grid grid-cols-[3rem_1fr] gap-x-2 py-1.5">
          <span className="text-muted">{row.row}</span>
          <span>
            <span className="font-word text-lg wrap-anywhere">{row.text || '(empty)'}</span>{' '}
            <span className={row.state === 'refused' ? 'text-red' : 'text-muted'}>{STATE_WORDS[row.state]}</span>
            {row.why && <span className="block text-[0.95rem] text-muted">{row.why}</span>}
          </span>
        </li>
      ))}
    </ol>
  );
}
