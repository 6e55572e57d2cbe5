'use client';

import { Pencil } from 'lucide-react';
import { useState, useTransition } from 'react';
import { erase, rename } from '@/app/actions';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';

/** Rename a child, or take them out for good: asked once, naming what goes. */
export function ChildMenu({ child }: { child: { readonly id: string; readonly name: string } }) {
  const [open, setOpen] = useState(false);
  const [asking, setAsking] = useState(false);
  const [name, setName] = useState(child.name);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const show = (now: boolean): void => {
    setOpen(now);
    setAsking(false);
    setError(null);
    setName(child.name);
  };
  return (
    <>
      <button type="button" className="grid size-12 place-items-center rounded-lg text-muted hover:bg-card hover:text-ink" aria-label={`Change ${child.name}`} onClick={() => show(true)}>
        <Pencil aria-hidden="true" size={20} />
      </button>
      <Dialog open={open} onOpenChange={show} title={asking ? `Take out ${child.name}?` : child.name}>
        {asking ? (
          <>
            <p className="mb-5">This erases {child.name} and every answer of theirs from this file, in every session. It cannot be undone; a backup you made earlier still holds them.</p>
            <div className="flex flex-wrap gap-3">
              <button type="button" className="plain" onClick={() => setAsking(false)}>Keep {child.name}</button>
              <button
                type="button" className="plain border-red text-red" disabled={running}
                onClick={() => begin(async () => {
                  const state = await erase(child.id);
                  if (state.error) setError(state.error);
                  else show(false);
                })}
              >
                Erase {child.name} and their answers
              </button>
            </div>
          </>
        ) : (
          <form
            onSubmit={(event) => {
              event.preventDefault();
              begin(async () => {
                const form = new FormData();
                form.set('childId', child.id);
                form.set('name', name);
                const state = await rename({}, form);
                if (state.error) setError(state.error);
                else setOpen(false);
              });
            }}
          >
            <label className="block">
              <span className="mb-2 block text-muted">Name</span>
              <input className="field font-word text-xl" value={name} onChange={(e) => setName(e.target.value)} autoComplete="off" />
            </label>
            <div className="mt-5 flex flex-wrap gap-3">
              <button type="submit" className="action" disabled={running}>Keep the name</button>
              <button type="button" className="plain" onClick={() => setAsking(true)}>Take out…</button>
            </div>
          </form>
        )}
        {error && <div className="mt-4"><ErrorMessage>{error}</ErrorMessage></div>}
      </Dialog>
    </>
  );
}
