'use client';

import { format } from 'date-fns';
import { keepLeavers } from '@/actions/settings';
import { KEEP_YEARS } from '@/core/formats/keep-until';
import type { Leaver } from '@/server/people/kept-long-enough';
import { Field } from '../kit/field';
import { Select } from '../kit/select';
import { SavedForm, useSaving } from './saved-form';

const asItIs = (given: { readonly years: string }) => given;

const WORDS: Readonly<Record<(typeof KEEP_YEARS)[number], string>> = {
  0: 'at the end of the school year they left in',
  1: 'a year after that school year',
  2: 'two years after that school year',
  3: 'three years after that school year',
};

interface KeepYearsProps {
  /** Empty for ever. */
  readonly years: string;
  /** Those who go within a month. */
  readonly soon: readonly Leaver[];
}

/** How long those who left are kept, with a month’s notice of who goes. */
export function KeepYears({ years, soon }: KeepYearsProps) {
  const { values, set, view } = useSaving({ place: 'keep-years', usual: { years }, act: keepLeavers, asked: asItIs });
  return (
    <section aria-labelledby="leavers">
      <h2 id="leavers" className="mb-2 text-2xl">
        Children off the list
      </h2>
      <SavedForm view={view} save="Save how long we keep them">
        <Field
          htmlFor="keep-years"
          label={<b>Everything about them is erased</b>}
          hint="Your setting’s policy and local law decide. You’ll see who goes a month before; a hold keeps anyone."
        >
          <Select
            id="keep-years"
            value={values.years}
            onChange={(next) => set('years', next)}
            options={[
              ['', 'only when we do it ourselves'],
              ...KEEP_YEARS.map((n): [string, string] => [String(n), WORDS[n]]),
            ]}
          />
        </Field>
      </SavedForm>
      {soon.length > 0 && (
        <ul className="mt-1">
          {soon.map(({ id, name, goesOn }) => (
            <li key={id}>
              {name}: goes on {format(goesOn, 'd MMMM yyyy')}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
