'use client';

import { useActionState, useId } from 'react';
import type { FormState } from '@/actions/answer';
import { newChildren, newGroup } from '@/actions/groups';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { ErrorMessage } from '../kit/message';

type FormAct = (before: FormState, form: FormData) => Promise<FormState>;

/** The form of an act, with `done` told once all of it was taken. */
const useForm = (act: FormAct, done?: (said: string) => void) =>
  useActionState(async (before: FormState, form: FormData) => {
    const state = await act(before, form);
    if (state.said && !state.error) done?.(state.said);
    return state;
  }, {});

interface AddChildrenProps {
  readonly groupId: string;
  readonly done?: (said: string) => void;
}

/** Names, one a line. What could not be taken stays in the box with the reason. */
export function AddChildren({ groupId, done }: AddChildrenProps) {
  const [state, action, running] = useForm(newChildren, done);
  const id = useId();
  return (
    <form action={action}>
      <input type="hidden" name="groupId" value={groupId} />
      <Field label="First names" htmlFor={id} hint="One on each line.">
        <textarea
          key={state.kept ?? state.said ?? ''}
          id={id}
          name="names"
          rows={5}
          defaultValue={state.kept ?? ''}
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

/** Another group of the setting. */
export function AddGroup({ done }: { readonly done: (said: string) => void }) {
  const [state, action, running] = useForm(newGroup, done);
  const id = useId();
  return (
    <form action={action}>
      <Field label="What is the group called?" htmlFor={id}>
        <input
          id={id}
          key={state.said ?? ''}
          name="name"
          defaultValue={state.kept ?? ''}
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
