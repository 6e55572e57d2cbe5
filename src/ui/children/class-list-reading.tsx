'use client';

import { useId, useState, useTransition } from 'react';
import { bringInClass } from '@/actions/groups';
import { readClassList, type ClassList, type ClassRow } from '@/core/formats/class-list';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useKeptText } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

const addChildren = (children: number) => (children === 1 ? 'Add 1 child' : `Add ${children} children`);

export interface ClassListProps {
  readonly groupId: string;
  readonly groupName: string;
  /** Who is there already, by the name of their group in small letters. */
  readonly here: Readonly<Record<string, readonly string[]>>;
}

/** Whether a child of this name is in the group already. */
const isHere = ({ name, group }: ClassRow, { groupName, here }: ClassListProps): boolean =>
  (here[(group || groupName).toLocaleLowerCase()] ?? []).includes(name.toLocaleLowerCase());

const withoutLine = (all: ReadonlySet<number>, line: number): ReadonlySet<number> =>
  new Set([...all].filter((l) => l !== line));

/** A class list, read as it is typed, looked through line by line, and taken. */
export function ClassListReading({ done, ...props }: ClassListProps & { readonly done: (said: string) => void }) {
  const id = useId();
  const { text, setText, done: forget } = useKeptText('class list');
  const [turned, setTurned] = useState<ReadonlySet<number>>(new Set());
  const [error, setError] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const list = text.trim() ? readClassList(text) : null;
  const read = (next: string): void => {
    setText(next);
    setError(null);
    setTurned(new Set());
  };
  // Who is here already is left out, and whoever is tapped the other way.
  const left = new Set((list?.rows ?? []).filter((r) => isHere(r, props) !== turned.has(r.line)).map((r) => r.line));
  const taken = (list?.rows ?? []).filter((r) => r.fault === null && !left.has(r.line));
  const keep = (): void =>
    begin(async () => {
      const rows = taken.map(({ name, group, ownId }) => ({ name, group, ownId }));
      const state = await bringInClass(rows, props.groupId).catch(
        unreached('The list is still here: try again in a moment.'),
      );
      setError(state.error ?? null);
      if (!('said' in state && state.said)) return;
      forget();
      done(state.said);
    });
  return (
    <>
      <Field
        label="Paste the list"
        htmlFor={id}
        hint="One child on each line. With headings, we look for “first name”, “group” and “id”."
      >
        <textarea
          id={id}
          rows={5}
          className="field font-word"
          value={text}
          onChange={(event) => read(event.target.value)}
          spellCheck={false}
        />
      </Field>
      <Field label="Or choose a CSV file" htmlFor={`${id}-file`}>
        <input
          id={`${id}-file`}
          type="file"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          className="field"
          onChange={(event) => void event.target.files?.[0]?.text().then(read)}
        />
      </Field>
      <ErrorMessage>{list?.fault}</ErrorMessage>
      {list && !list.fault && (
        <Lines
          list={list}
          props={props}
          left={left}
          onLine={(line) => setTurned(turned.has(line) ? withoutLine(turned, line) : new Set([...turned, line]))}
        />
      )}
      <ErrorMessage>{error}</ErrorMessage>
      {list && !list.fault && (
        <Button kind="action" className="mt-4" disabled={busy || !taken.length} onClick={keep}>
          {addChildren(taken.length)}
        </Button>
      )}
    </>
  );
}

interface LinesProps {
  readonly list: ClassList;
  readonly props: ClassListProps;
  /** Lines that are not to be taken. */
  readonly left: ReadonlySet<number>;
  readonly onLine: (line: number) => void;
}

/** What was read, line by line: what is taken, what is not and why. */
function Lines({ list: { rows, columns }, props, left, onLine }: LinesProps) {
  const unused = columns.filter((c) => c.taken === null).map((c) => c.name);
  return (
    <>
      {unused.length > 0 && <p className="mt-4">We’ve seen these columns and won’t keep them: {unused.join(', ')}.</p>}
      <ul
        aria-label="Lines of the list"
        className="mt-3 max-h-80 divide-y divide-line overflow-y-auto border-y border-line"
      >
        {rows.map((row) => (
          <li key={row.line}>
            <label className="flex min-h-12 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-green"
                disabled={row.fault !== null}
                checked={row.fault === null && !left.has(row.line)}
                onChange={() => onLine(row.line)}
              />
              <span className="min-w-0 flex-1 wrap-anywhere">
                <b className="font-word">{row.name || 'no name'}</b>{' '}
                <span className="text-muted">
                  {[row.group || props.groupName, row.ownId && `number ${row.ownId}`].filter(Boolean).join(' · ')}
                </span>
              </span>
              <span className={row.fault ? 'text-red' : 'text-muted'}>
                {row.fault ?? (isHere(row, props) ? 'already there' : '')}
              </span>
            </label>
          </li>
        ))}
      </ul>
    </>
  );
}
