'use client';

import {
  columnFilteringFeature,
  createColumnHelper,
  createFilteredRowModel,
  filterFn_includesString,
  globalFilteringFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { format } from 'date-fns';
import { useId, useMemo, useState } from 'react';
import { groupBy } from '@/core/group-by';
import type { RecentAnswer } from '@/server/children/child-page';
import { Field } from '../kit/field';
import { Link } from '../kit/link';
import { Folding } from '../kit/folding';

const features = tableFeatures({
  columnFilteringFeature,
  globalFilteringFeature,
  filteredRowModel: createFilteredRowModel(),
});
const column = createColumnHelper<typeof features, RecentAnswer>();
const columns = column.columns([
  column.accessor((n) => n.note ?? '', { id: 'note' }),
  column.accessor((n) => `${n.label} ${n.game}`, { id: 'about' }),
  column.accessor((n) => format(n.at, 'd MMMM yyyy'), { id: 'day' }),
]);

/** So many, and a search is offered. */
const MANY = 4;

/** Notes made while playing, month by month, the newest first; searched by any word, game or day in them. */
export function Notes({ notes }: { readonly notes: readonly RecentAnswer[] }) {
  const [text, setText] = useState('');
  const id = useId();
  const data = useMemo(() => [...notes], [notes]);
  const table = useTable({
    features,
    columns,
    data,
    globalFilterFn: filterFn_includesString,
    getColumnCanGlobalFilter: () => true,
    state: { globalFilter: text.trim() },
  });
  const found = table.getRowModel().rows.map((row) => row.original);
  return (
    <Folding id="notes" title={notes.length ? `Notes (${notes.length})` : 'Notes'} heading="mb-2 text-2xl">
      {!notes.length && <p className="text-muted">Notes you make while playing appear here, newest first.</p>}
      {notes.length > MANY && (
        <div className="mb-3 max-w-sm">
          <Field label="Search the notes" htmlFor={id}>
            <input id={id} type="search" className="field" value={text} onChange={(e) => setText(e.target.value)} />
          </Field>
        </div>
      )}
      <p role="status" className="text-muted">
        {notes.length > 0 && !found.length && `No note has “${text.trim()}” in it.`}
      </p>
      {[...groupBy(found, (n) => format(n.at, 'MMMM yyyy'))].map(([month, of]) => (
        <div key={month} className="mb-4">
          <h3 className="border-b border-line pb-1 font-sans text-base font-normal text-muted">{month}</h3>
          <ul className="divide-y divide-line">
            {of.map((n) => (
              <li key={n.id} className="py-2.5">
                <p className="text-lg wrap-anywhere">{n.note}</p>
                <p className="text-muted">
                  <Link
                    className="underline decoration-line-strong underline-offset-4"
                    href={`/look-back/${n.sessionId}`}
                  >
                    {n.label}, {n.game}
                  </Link>
                  , {format(n.at, 'd MMM')}
                </p>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </Folding>
  );
}
