'use client';

import { keepSettingName } from '@/actions/settings';
import { Field } from '../kit/field';
import { SavedForm, useSaving } from './saved-form';

const asItIs = (given: { readonly name: string }) => given;

/** What the setting is called on pages to pass on. */
export function NameForm({ name }: { readonly name: string }) {
  const { values, set, view } = useSaving({
    place: 'setting-name',
    usual: { name },
    act: keepSettingName,
    asked: asItIs,
  });
  return (
    <SavedForm view={view} save="Save the name">
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
          onChange={(event) => set('name', event.target.value)}
        />
      </Field>
    </SavedForm>
  );
}
