'use client';

import { clsx } from 'clsx';
import { useActionState, useState, useTransition, type ReactNode } from 'react';
import type { DefaultValues, FieldValues } from 'react-hook-form';
import type { FormState } from '@/actions/answer';
import { Button } from '../kit/button';
import { formOf, useKeptForm } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { NotSaved } from '../kit/not-saved';
import { SentFields } from '../kit/sent-fields';
import { unreached } from '../kit/unreached';

interface Saving<T> {
  /** Which form it is, in this tab. */
  readonly place: string;
  readonly usual: T;
  readonly act: (before: FormState, form: FormData) => Promise<FormState>;
  /** What was filled in, as the door reads it. */
  readonly asked: (given: T) => Readonly<Record<string, string>>;
}

/** A form of settings: kept while it is changed, saved when it is asked for. */
export function useSaving<T extends FieldValues>({ place, usual, act, asked }: Saving<T>) {
  const { form, values, changed, putBack, done } = useKeptForm<T>(place, usual as DefaultValues<T> & T);
  const [sent, send] = useActionState(act, {});
  const [state, setState] = useState<FormState>(sent);
  const [running, begin] = useTransition();
  const keep = form.handleSubmit((given) =>
    begin(async () => {
      const now: FormState = await act({}, formOf(asked(given))).catch(unreached('What you chose is still here.'));
      setState(now);
      if (!now.error) done(given);
    }),
  );
  const set = (name: keyof T & string, next: unknown): void =>
    form.setValue(name as never, next as never, { shouldDirty: true });
  return { values, set, view: { changed, putBack, send, keep, state, running, fields: asked(values) } };
}

interface SavedFormProps {
  readonly view: ReturnType<typeof useSaving>['view'];
  /** What the button says. */
  readonly save: string;
  readonly children: ReactNode;
  readonly className?: string;
}

/** The form with its button, which stays in sight as long as something is not saved. */
export function SavedForm({ view, save, children, className }: SavedFormProps) {
  const { changed, putBack, send, keep, state, running, fields } = view;
  return (
    <form action={send} onSubmit={keep} className={className}>
      <SentFields values={fields} />
      {children}
      <div className={clsx('mt-3 py-3', changed && 'sticky bottom-0 z-10 border-t border-line bg-paper')}>
        <div aria-live="polite">
          {state.said && !changed && <p className="mb-2 text-green">{state.said}</p>}
          <ErrorMessage className="mb-2">{state.error}</ErrorMessage>
        </div>
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <Button kind={changed ? 'action' : 'plain'} type="submit" disabled={running}>
            {save}
          </Button>
          <NotSaved changed={changed} putBack={putBack} />
        </div>
      </div>
    </form>
  );
}
