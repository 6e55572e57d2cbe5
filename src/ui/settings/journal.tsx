import { format } from 'date-fns';
import type { Done, JournalLine } from '@/server/whole/journal';

const WORDS: Readonly<Record<Done, string>> = {
  'backups-set-up': 'a key for backups was made',
  restored: 'a backup was put back',
  'child-erased': 'a child was erased',
  'group-erased': 'a group was erased',
  'hold-set': 'a child’s record was put on hold',
  'hold-lifted': 'a hold was lifted',
  'new-year': 'a new school year began',
  'kept-long-enough': 'children off the list were erased on their day',
  'everything-taken': 'everything was downloaded',
  'child-file-taken': 'a child’s file was downloaded',
  'session-lent': 'a session was lent to tablets, with plants for names',
};

/** What was done with the data as a whole, the newest first. */
export function Journal({ lines }: { readonly lines: readonly JournalLine[] }) {
  return (
    <section aria-labelledby="journal">
      <h2 id="journal" className="mb-2 text-2xl">
        Journal
      </h2>
      <p className="mb-3 text-muted">What was taken out, lent, put back and erased. It names no child.</p>
      {lines.length ? (
        <ul className="max-h-96 overflow-y-auto">
          {lines.map(({ id, at, what, by, detail }) => (
            <li key={id} className="py-0.5">
              <span className="text-muted">{format(at, 'd MMM yyyy, HH:mm')}</span> {WORDS[what]}
              {by && `, ${by}`}
              {detail && <span className="text-muted"> ({detail})</span>}
            </li>
          ))}
        </ul>
      ) : (
        <p>Nothing yet.</p>
      )}
    </section>
  );
}
