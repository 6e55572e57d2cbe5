'use client';

import { useRouter } from 'next/navigation';
import { useId, useState, useTransition } from 'react';
import { importFile, lookAtFile } from '@/actions/words';
import type { ImportReport } from '@/server/words/word-sets';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { sure } from '@/core/sure';
import { importSet as say } from './text';

const STATE_WORDS = { known: say.inTheBank, new: say.newBecomesWord, refused: say.leftOut } as const;

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
      setSaid(say.list(sure(read).report.name));
      setRead(null);
      router.refresh();
    });
  const report = read?.report;
  const refused = report?.rows.filter((r) => r.state === 'refused').length ?? 0;
  return (
    <section aria-labelledby={`${id}h`} className="h-max rounded-2xl bg-card p-6">
      <h2 id={`${id}h`} className="mb-1 text-2xl">
        {say.bringSet}
      </h2>
      <p className="mb-3 text-muted">{say.csvFileColumn}</p>
      <label htmlFor={id} className="plain w-full cursor-pointer has-focus-visible:outline-3">
        {busy ? say.reading : say.chooseAFile}
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
        {report?.fault && <ErrorMessage>{say.nothingWasImported(report.fault)}</ErrorMessage>}
        {report && !report.fault && (
          <>
            <h3 className="mt-2 mb-1 text-xl wrap-anywhere">{report.name}</h3>
            <p className="mb-2">{say.rowsUsedNothing(report.words.length, report.rows.length, refused)}</p>
            <Rows report={report} />
            <div className="flex gap-2">
              <Button kind="action" className="flex-1" disabled={busy || !report.words.length} onClick={keep}>
                {say.keep(report.words.length)}
              </Button>
              <Button onClick={() => setRead(null)}>{say.leaveIt}</Button>
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
      aria-label={say.rowsFile}
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
