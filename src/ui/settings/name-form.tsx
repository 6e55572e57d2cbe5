'use client';

import { useActionState, useState, useTransition } from 'react';
import type { FormState } from '@/actions/answer';
import { keepSettingName } from '@/actions/settings';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { formOf, useKeptForm } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { SentFields } from '../kit/sent-fields';
import { unreached } from '../kit/unreached';

/** What the setting is called on pages to pass on. */
export function NameForm({ name }: { readonly name: string }) {
  const { form, values, done } = useKeptForm('setting-name', { name });
  const [sent, send] = useActionState(keepSettingName, {});
  const [state, setState] = useState<FormState>(sent);
  const [running, begin] = useTransition();
  const keep = form.handleSubmit((given) =>
    begin(async () => {
      const now = await keepSettingName({}, formOf(given)).catch(unreached('What you typed is still here.'));
      setState(now);
      if (!now.error) done(given);
    }),
  );
  return (
    <form action={send} onSubmit={keep}>
      <SentFields values={{ ...values }} />
      <Field
        htmlFor="setting-name"
        label={<b>What your setting is called</b>}
        hint="It goes at the top of the pages you pass on."
      >
        <input
          id="setting-name"
          className="field w-full max-w-md"
          maxLength={60}
          value={values.name}
          onChange={(event) => form.setValue('name', event.target.value, { shouldDirty: true })}
        />
      </Field>
      <Button className="mt-3" type="submit" disabled={running}>
        Save the name
      </Button>
      <div aria-live="polite" className="mt-2">
        {state.said && <p className="text-green">{state.said}</p>}
        <ErrorMessage>{state.error}</ErrorMessage>
      </div>
    </form>
  );
}
