'use client';

import { Pencil } from 'lucide-react';
import { useState, useTransition } from 'react';
import type { FormState } from '@/actions/answer';
import { Dialog } from './dialog';
import { ErrorMessage } from './message';
import { nameMenu as say } from './text';

interface NameMenuProps {
  readonly name: string;
  /** What goes, in a sentence, before it is erased. */
  readonly warning: string;
  /** The words on the button that erases. */
  readonly eraseLabel: string;
  readonly onRename: (name: string) => Promise<FormState>;
  readonly onErase: () => Promise<FormState>;
}

/** Rename something that has a name, or take it out for good: asked once, naming what goes. */
export function NameMenu({ name: current, warning, eraseLabel, onRename, onErase }: NameMenuProps) {
  const [open, setOpen] = useState(false);
  const [asking, setAsking] = useState(false);
  const [name, setName] = useState(current);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const show = (now: boolean): void => {
    setOpen(now);
    setAsking(false);
    setError(null);
    setName(current);
  };
  return (
    <>
      <button
        type="button"
        className="grid size-12 place-items-center rounded-lg text-muted hover:bg-card hover:text-ink"
        aria-label={say.change(current)}
        onClick={() => show(true)}
      >
        <Pencil aria-hidden="true" size={20} />
      </button>
      <Dialog open={open} onOpenChange={show} title={asking ? say.takeOut(current) : current}>
        {asking ? (
          <>
            <p className="mb-5">{warning}</p>
            <div className="flex flex-wrap gap-3">
              <button type="button" className="plain" onClick={() => setAsking(false)}>
                {say.keep(current)}
              </button>
              <button
                type="button"
                className="plain border-red text-red"
                disabled={running}
                onClick={() =>
                  begin(async () => {
                    const state = await onErase();
                    if (state.error) setError(state.error);
                    else show(false);
                  })
                }
              >
                {eraseLabel}
              </button>
            </div>
          </>
        ) : (
          <RenameForm
            begin={begin}
            onRename={onRename}
            name={name}
            setError={setError}
            setOpen={setOpen}
            setName={setName}
            running={running}
            setAsking={setAsking}
          />
        )}
        {error && (
          <div className="mt-4">
            <ErrorMessage>{error}</ErrorMessage>
          </div>
        )}
      </Dialog>
    </>
  );
}

interface RenameFormProps {
  readonly begin: (work: () => Promise<void>) => void;
  readonly onRename: (name: string) => Promise<FormState>;
  readonly name: string;
  readonly setError: (next: string | null) => void;
  readonly setOpen: (next: boolean) => void;
  readonly setName: (next: string) => void;
  readonly running: boolean;
  readonly setAsking: (next: boolean) => void;
}

/** Another name for it. */
function RenameForm({ begin, onRename, name, setError, setOpen, setName, running, setAsking }: RenameFormProps) {
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        begin(async () => {
          const state = await onRename(name);
          if (state.error) setError(state.error);
          else setOpen(false);
        });
      }}
    >
      <label className="block">
        <span className="mb-2 block text-muted">{say.name}</span>
        <input
          className="field font-word text-xl"
          value={name}
          onChange={(e) => setName(e.target.value)}
          autoComplete="off"
        />
      </label>
      <div className="mt-5 flex flex-wrap gap-3">
        <button type="submit" className="action" disabled={running}>
          {say.keepTheName}
        </button>
        <button type="button" className="plain" onClick={() => setAsking(true)}>
          {say.takeOutLine}
        </button>
      </div>
    </form>
  );
}
