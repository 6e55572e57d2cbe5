'use client';

import { useActionState, useEffect, useId, useRef, useState, useTransition } from 'react';
import type { FormState } from '@/actions/answer';
import { newChildren, newGroup, takeBack } from '@/actions/groups';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useKeptForm, useKeptText } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

interface AddChildrenProps {
  readonly groupId: string;
  readonly done?: (said: string, made: readonly string[]) => void;
  /** Whoever leaves the box has their names added: there is nothing to press. */
  readonly sendOnLeave?: boolean;
}

/**
 * Names, on lines or with commas between them. What was typed stays through tabs, menus and a reload until it is taken;
 * what could not be taken stays in the box with the reason.
 */
export function AddChildren({ groupId, done, sendOnLeave = false }: AddChildrenProps) {
  const { form, values, done: forget } = useKeptForm(`names ${groupId}`, { names: '' });
  const [state, action, running] = useActionState(async (_: FormState, given: FormData): Promise<FormState> => {
    const typed = values.names;
    const next: FormState = await newChildren({}, given).catch(unreached('The names are still here.'));
    if (!next.error) forget({ names: '' });
    else if (next.kept !== undefined && next.kept !== typed) form.setValue('names', next.kept, { shouldDirty: true });
    if (next.said && !next.error) done?.(next.said, next.made ?? []);
    return next;
  }, {});
  const id = useId();
  const box = useRef<HTMLFormElement>(null);
  const send = useRef(false);
  useEffect(() => {
    send.current = sendOnLeave && values.names.trim() !== '' && !running;
  });
  return (
    <form
      ref={box}
      action={action}
      onBlur={(event) => {
        const inside = event.relatedTarget instanceof Node && box.current?.contains(event.relatedTarget);
        if (send.current && !inside) box.current?.requestSubmit();
      }}
    >
      <input type="hidden" name="groupId" value={groupId} />
      <Field label="First names" htmlFor={id} hint="One on each line, or with commas between them.">
        <textarea
          id={id}
          name="names"
          rows={5}
          value={values.names}
          onChange={(event) => form.setValue('names', event.target.value, { shouldDirty: true })}
          className="field font-word text-xl"
          autoComplete="off"
          spellCheck={false}
          aria-invalid={state.error ? true : undefined}
        />
      </Field>
      <Outcome {...state} />
      <Button kind="action" type="submit" disabled={running}>
        Add
      </Button>
    </form>
  );
}

/** Takes back the names that were just added. */
export function TakeBack({ ids }: { readonly ids: readonly string[] }) {
  const [state, setState] = useState<FormState | null>(null);
  const [running, begin] = useTransition();
  const back = (): void => begin(async () => setState(await takeBack(ids).catch(unreached('Nothing was changed.'))));
  if (state?.said) return <p role="status">{state.said}</p>;
  return (
    <>
      <Button kind="quiet" disabled={running} onClick={back}>
        Take those back
      </Button>
      <ErrorMessage>{state?.error}</ErrorMessage>
    </>
  );
}

/** Another group of the setting. */
export function AddGroup({ done }: { readonly done: (said: string) => void }) {
  const { text, setText, done: forget } = useKeptText('new group');
  const [state, action, running] = useActionState(async (_: FormState, given: FormData): Promise<FormState> => {
    const next: FormState = await newGroup({}, given).catch(unreached('The name is still here.'));
    if (next.error || !next.said) return next;
    forget();
    done(next.said);
    return next;
  }, {});
  const id = useId();
  return (
    <form action={action}>
      <Field label="What is the group called?" htmlFor={id}>
        <input
          id={id}
          name="name"
          value={text}
          onChange={(event) => setText(event.target.value)}
          className="field font-word text-xl"
          autoComplete="off"
          aria-invalid={state.error ? true : undefined}
        />
      </Field>
      <Outcome {...state} />
      <Button kind="action" type="submit" disabled={running}>
        Add the group
      </Button>
    </form>
  );
}

const Outcome = ({ said, error }: FormState) => (
  <div aria-live="polite" className="my-3 space-y-2">
    {said && <p className="text-green">{said}</p>}
    <ErrorMessage>{error}</ErrorMessage>
  </div>
);
