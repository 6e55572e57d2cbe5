'use client';

import { useActionState } from 'react';
import { newChildren, newGroup } from '@/actions/groups';
import { ErrorMessage } from '../kit/message';
import { addForms as say } from './text';

/** Names, one a line. What could not be taken stays in the box with the reason. */
export function AddChildren({ groupId, groupName }: { groupId: string; groupName: string }) {
  const [state, action, running] = useActionState(newChildren, {});
  return (
    <form action={action}>
      <input type="hidden" name="groupId" value={groupId} />
      <label className="block">
        <span className="mb-2 block font-word text-2xl font-bold">{say.addNamesTo(groupName)}</span>
        <span className="mb-2 block text-muted">{say.eachLine}</span>
        <textarea
          key={state.kept ?? state.said ?? ''}
          name="names"
          rows={5}
          defaultValue={state.kept ?? ''}
          className="field font-word text-xl"
          autoComplete="off"
          spellCheck={false}
          aria-invalid={state.error ? true : undefined}
        />
      </label>
      <div aria-live="polite" className="my-3 space-y-2">
        {state.said && <p className="text-green">{state.said}</p>}
        {state.error && <ErrorMessage>{state.error}</ErrorMessage>}
      </div>
      <button type="submit" className="action" disabled={running}>
        {say.add}
      </button>
    </form>
  );
}

/** Another group of the setting. */
export function AddGroup() {
  const [state, action, running] = useActionState(newGroup, {});
  return (
    <form action={action}>
      <label className="block">
        <span className="mb-2 block font-word text-2xl font-bold">{say.anotherGroup}</span>
        <input
          key={state.said ?? ''}
          name="name"
          defaultValue={state.kept ?? ''}
          className="field font-word text-xl"
          autoComplete="off"
          aria-invalid={state.error ? true : undefined}
        />
      </label>
      <div aria-live="polite" className="my-3 space-y-2">
        {state.said && <p className="text-green">{state.said}</p>}
        {state.error && <ErrorMessage>{state.error}</ErrorMessage>}
      </div>
      <button type="submit" className="plain" disabled={running}>
        {say.makeTheGroup}
      </button>
    </form>
  );
}
