'use client';

import { useId, useState, useTransition } from 'react';
import { Button } from './button';
import { Dialog } from './dialog';
import { Field } from './field';
import { useKeptText } from './kept-form';
import { ErrorMessage } from './message';
import { unreached } from './unreached';

interface RenameProps {
  readonly name: string;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly onRename: (name: string) => Promise<{ readonly error?: string }>;
}

/** Another name for something that has one. What was typed stays where it could not be kept. */
export function RenameDialog({ name: current, open, onOpenChange, onRename }: RenameProps) {
  return (
    <Dialog open={open} onOpenChange={onOpenChange} title={current}>
      {open && <RenameForm current={current} done={() => onOpenChange(false)} onRename={onRename} />}
    </Dialog>
  );
}

interface FormProps extends Pick<RenameProps, 'onRename'> {
  readonly current: string;
  readonly done: () => void;
}

function RenameForm({ current, done, onRename }: FormProps) {
  const id = useId();
  const { text: name, setText: setName, done: forget } = useKeptText(`name ${current}`, current);
  const [error, setError] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        begin(async () => {
          const state = await onRename(name).catch(unreached());
          setError(state.error ?? null);
          if (state.error) return;
          forget(name);
          done();
        });
      }}
    >
      <Field label="Name" htmlFor={id}>
        <input
          id={id}
          className="field font-word text-xl"
          value={name}
          onChange={(event) => setName(event.target.value)}
          autoComplete="off"
          aria-invalid={error ? true : undefined}
        />
      </Field>
      <Button kind="action" type="submit" className="mt-5" disabled={busy}>
        Save the name
      </Button>
      <ErrorMessage className="mt-4">{error}</ErrorMessage>
    </form>
  );
}
