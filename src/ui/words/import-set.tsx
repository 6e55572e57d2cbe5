'use client';

import { useRouter } from 'next/navigation';
import { importFile, lookAtFile } from '@/actions/words';
import type { ImportReport } from '@/server/words/word-sets';
import { ImportFile } from '../kit/import-file';

const rowsRead = (words: number, rows: number, refused: number) =>
  `${words} of ${rows} rows can be used${refused ? `, ${refused} left out` : ''}. Nothing has been saved yet.`;

const saveWords = (words: number) => `Save ${words} ${words === 1 ? 'word' : 'words'}`;

const STATE_WORDS = {
  known: 'already in the word bank',
  new: 'new: we’ll add it to your own words',
  refused: 'left out',
} as const;

/** A set from a file, reported on row by row. */
export function ImportSet() {
  const router = useRouter();
  return (
    <ImportFile<ImportReport>
      heading="Open a set from a file"
      about={
        'A CSV file with a column called “word”, or a set saved as JSON. ' +
        'You’ll see every row before anything is saved.'
      }
      accept=".csv,.json,text/csv,application/json"
      className="h-max rounded-2xl bg-card p-6"
      look={lookAtFile}
      keep={importFile}
      onKept={(_, { name }) => {
        router.refresh();
        return `${name} is in the list.`;
      }}
      keepLabel={({ fault, words }) => (fault || !words.length ? null : saveWords(words.length))}
    >
      {(report) => report.fault === null && <Rows report={report} />}
    </ImportFile>
  );
}

/** Every row of the file, and what becomes of it. */
function Rows({ report: { name, words, rows } }: { readonly report: ImportReport }) {
  const refused = rows.filter((r) => r.state === 'refused').length;
  return (
    <>
      <h3 className="mt-2 mb-1 text-xl wrap-anywhere">{name}</h3>
      <p className="mb-2">{rowsRead(words.length, rows.length, refused)}</p>
      <ol
        tabIndex={0}
        aria-label="Rows in the file"
        className="relative mb-3 max-h-80 divide-y divide-line overflow-y-auto border-y border-line"
      >
        {rows.map((row) => (
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
    </>
  );
}
