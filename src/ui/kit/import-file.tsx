'use client';

import { useId, useState, useTransition, type ReactNode } from 'react';
import type { Answer } from '@/actions/answer';
import { Button } from './button';
import { FileButton } from './file-button';
import { ErrorMessage } from './message';
import { unreached } from './unreached';
import { Section } from './section';

interface ImportFileProps<Report> {
  readonly heading: string;
  /** Which files can be read, and what happens then. */
  readonly about: string;
  readonly accept: string;
  readonly className?: string;
  readonly look: (text: string, name: string) => Promise<Answer<Report>>;
  readonly keep: (text: string, name: string) => Promise<Answer<string>>;
  /** What is said once it is kept; nothing where another page opens. */
  readonly onKept: (kept: string, report: Report) => string;
  /** What stands on the button that keeps it; null where nothing of it can be kept. */
  readonly keepLabel: (report: Report) => string | null;
  /** What of the file can be used. */
  readonly children: (report: Report) => ReactNode;
}

/** A file is read and reported on; nothing is kept until a person says so. */
export function ImportFile<Report extends { readonly fault: string | null }>(props: ImportFileProps<Report>) {
  const id = useId();
  const [read, setRead] = useState<{ text: string; name: string; report: Report } | null>(null);
  const [error, setError] = useState('');
  const [said, setSaid] = useState('');
  const [busy, begin] = useTransition();
  const choose = (file: File | undefined): void =>
    begin(async () => {
      if (!file) return;
      const text = await file.text();
      const answer = await props.look(text, file.name).catch(unreached());
      setSaid('');
      setError('error' in answer ? answer.error : '');
      setRead('value' in answer ? { text, name: file.name, report: answer.value } : null);
    });
  const keep = ({ text, name, report }: NonNullable<typeof read>): void =>
    begin(async () => {
      const answer = await props.keep(text, name).catch(unreached());
      if ('error' in answer) return setError(answer.error);
      setRead(null);
      setSaid(props.onKept(answer.value, report));
    });
  const label = read && props.keepLabel(read.report);
  return (
    <Section id={id} title={props.heading} heading="mb-1 text-2xl" className={props.className}>
      <p className="mb-3 text-muted">{props.about}</p>
      <FileButton busy={busy} accept={props.accept} onFile={choose} />
      <div aria-live="polite" className="mt-3">
        <ErrorMessage>{error}</ErrorMessage>
        {said && <p className="text-green">{said}</p>}
        {read?.report.fault && <ErrorMessage>{read.report.fault} Nothing was imported.</ErrorMessage>}
        {read && props.children(read.report)}
        {read && label && (
          <div className="flex gap-2">
            <Button kind="action" className="flex-1" disabled={busy} onClick={() => keep(read)}>
              {label}
            </Button>
            <Button onClick={() => setRead(null)}>Don’t save it</Button>
          </div>
        )}
      </div>
    </Section>
  );
}
