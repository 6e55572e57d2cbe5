'use client';

import { format } from 'date-fns';
import { Copy, FileDown, Printer, Trash2 } from 'lucide-react';
import { useState, useTransition } from 'react';
import { copySet, eraseSet } from '@/actions/words';
import type { SavedSet } from '@/server/words/word-sets';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { Link } from '../kit/link';
import { Empty, ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';
import { sure } from '@/core/sure';
import { ImportSet } from './import-set';

const setOf = (name: string) => `of ${name}`;

/** Saved word sets: open, copy, print, take out as a file, erase; and bring one in. */
export function SetsScreen({ sets }: { sets: readonly SavedSet[] }) {
  const [search, setSearch] = useState('');
  const [erasing, setErasing] = useState<SavedSet | null>(null);
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  const wanted = search.trim().toLowerCase();
  const shown = sets.filter((s) => s.name.toLowerCase().includes(wanted) || s.words.some((w) => w.includes(wanted)));
  return (
    <div className="grid grid-cols-1 gap-x-14 gap-y-8 lg:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="min-w-0">
        <div className="mb-4 flex flex-wrap items-end justify-between gap-4">
          <h1 className="text-4xl">Our word sets</h1>
          {sets.length > 4 && (
            <label className="w-64">
              <span className="sr-only">Search the sets</span>
              <input
                className="field"
                type="search"
                value={search}
                onChange={(e) => setSearch(e.target.value)}
                placeholder="name or word"
              />
            </label>
          )}
        </div>
        <ErrorMessage className="mb-3">{error}</ErrorMessage>
        {!sets.length && (
          <Empty title="Sets you save will appear here">
            Choose words in{' '}
            <Link className="underline underline-offset-4" href="/words">
              Find words
            </Link>
            , give the set a name and save it, or open one from a file.
          </Empty>
        )}
        <ul className="divide-y divide-line border-y border-line empty:border-0">
          {shown.map((set) => (
            <SetRow key={set.id} set={set} busy={busy} begin={begin} setError={setError} setErasing={setErasing} />
          ))}
        </ul>
        {sets.length > 0 && !shown.length && <p className="py-4 text-muted">No set has “{search}” in it.</p>}
      </div>
      <ImportSet />
      <EraseSet erasing={erasing} setErasing={setErasing} busy={busy} begin={begin} setError={setError} />
    </div>
  );
}

interface EraseSetProps {
  readonly erasing: SavedSet | null;
  readonly setErasing: (next: SavedSet | null) => void;
  readonly busy: boolean;
  readonly begin: (work: () => Promise<void>) => void;
  readonly setError: (next: string) => void;
}

/** Asks once before a set goes. */
function EraseSet({ erasing, setErasing, busy, begin, setError }: EraseSetProps) {
  return (
    <Dialog
      open={erasing !== null}
      onOpenChange={(open) => !open && setErasing(null)}
      title={`Erase ${erasing?.name ?? ''}?`}
      description="The words stay in the word bank, and sessions you’ve played stay as they are."
    >
      <Button
        kind="action"
        className="w-full"
        disabled={busy}
        onClick={() =>
          begin(async () => {
            const a = await eraseSet(sure(erasing).id).catch(unreached('Nothing was changed.'));
            setError(a.ok ? '' : a.error);
            setErasing(null);
          })
        }
      >
        Erase the set
      </Button>
    </Dialog>
  );
}

interface SetRowProps {
  readonly set: SavedSet;
  readonly busy: boolean;
  readonly begin: (work: () => Promise<void>) => void;
  readonly setError: (next: string) => void;
  readonly setErasing: (next: SavedSet | null) => void;
}

/** One set, and what can be done with it. */
function SetRow({ set, busy, begin, setError, setErasing }: SetRowProps) {
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 py-2.5">
      <div className="min-w-60 flex-1">
        <Link
          href={`/words?set=${set.id}&sounds=any`}
          className="font-word text-2xl font-bold wrap-anywhere hover:underline hover:underline-offset-4"
        >
          {set.name}
        </Link>
        <p className="text-muted">
          <span className="font-word text-ink">
            {set.words.slice(0, 10).join(' · ')}
            {set.words.length > 10 && ' …'}
          </span>{' '}
          · {set.words.length} {set.words.length === 1 ? 'word' : 'words'}, {format(set.updatedAt, 'd MMMM')}
        </p>
      </div>
      <div className="flex">
        <Link className={ICON} href={`/print/sets/${set.id}`} title="Print">
          <Printer aria-hidden="true" size={20} />
          <span className="sr-only">Print {set.name}</span>
        </Link>
        <button
          type="button"
          className={ICON}
          title="Copy"
          aria-disabled={busy}
          onClick={() =>
            begin(async () => {
              const a = await copySet(set.id).catch(unreached('Nothing was changed.'));
              setError(a.ok ? '' : a.error);
            })
          }
        >
          <Copy aria-hidden="true" size={20} />
          <span className="sr-only">Copy {set.name}</span>
        </button>
        <a className={ICON} href={`/api/sets/${set.id}/export?format=csv`} download title="As CSV">
          <FileDown aria-hidden="true" size={20} />
          <span className="text-sm">CSV</span>
          <span className="sr-only"> {setOf(set.name)}</span>
        </a>
        <a className={ICON} href={`/api/sets/${set.id}/export?format=json`} download title="As JSON">
          <FileDown aria-hidden="true" size={20} />
          <span className="text-sm">JSON</span>
          <span className="sr-only"> {setOf(set.name)}</span>
        </a>
        <button type="button" className={ICON} title="Erase" onClick={() => setErasing(set)}>
          <Trash2 aria-hidden="true" size={20} />
          <span className="sr-only">Erase {set.name}</span>
        </button>
      </div>
    </li>
  );
}

const ICON =
  'inline-flex min-h-12 min-w-12 items-center justify-center gap-1 rounded-lg px-2 text-muted hover:bg-card ' +
  'hover:text-ink';
