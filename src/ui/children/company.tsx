'use client';

import { useState, useTransition } from 'react';
import { keepCompany } from '@/actions/groups';
import type { Company } from '@/core/choosing/company';
import { Button } from '../kit/button';
import { Checkbox } from '../kit/checkbox';
import { Dialog } from '../kit/dialog';
import { Field } from '../kit/field';
import { useKeptForm } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { NotSaved } from '../kit/not-saved';
import { SelectField } from '../kit/select';
import { unreached } from '../kit/unreached';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'];

interface Named {
  readonly id: string;
  readonly name: string;
}

interface CompanyProps {
  readonly child: Named & { readonly company: Company };
  /** The others of the list. */
  readonly others: readonly Named[];
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

/** The days a child comes, and whom they are grouped with. */
export function CompanyDialog({ open, onOpenChange, ...whose }: CompanyProps) {
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title={`Days and groups: ${whose.child.name}`}
      description="We use this to make the small groups on Today."
    >
      {open && <CompanyForm {...whose} done={() => onOpenChange(false)} />}
    </Dialog>
  );
}

type CompanyFormProps = Pick<CompanyProps, 'child' | 'others'> & { readonly done: () => void };

function CompanyForm({ child: { id, company }, others, done: close }: CompanyFormProps) {
  const { form, values, changed, putBack, done } = useKeptForm(`company ${id}`, { given: company });
  const { given } = values as { given: Company };
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const set = (next: Partial<Company>): void =>
    form.setValue('given', { ...given, ...next } as never, { shouldDirty: true });
  const keep = (): void =>
    begin(async () => {
      const state = await keepCompany(id, given).catch(unreached('What you chose is still here.'));
      setError(state.error ?? null);
      if (state.error) return;
      done(values);
      close();
    });
  return (
    <>
      <fieldset>
        <legend className="font-word text-lg font-bold">Days they come</legend>
        <div className="flex flex-wrap gap-x-6">
          {DAYS.map((day, i) => (
            <Checkbox
              key={day}
              checked={given.days.includes(i + 1)}
              onChange={(on) => set({ days: on ? [...given.days, i + 1] : given.days.filter((d) => d !== i + 1) })}
              label={day}
            />
          ))}
        </div>
      </fieldset>
      <Others heading="Keep together with" of={others} chosen={given.together} set={(together) => set({ together })} />
      <Others heading="Keep apart from" of={others} chosen={given.apart} set={(apart) => set({ apart })} />
      <div className="mt-4">
        <Field
          htmlFor={`key-adult-${id}`}
          label={<span className="font-word text-lg font-bold">With their key adult</span>}
          hint="Leave this empty if any adult can lead their group."
        >
          <input
            id={`key-adult-${id}`}
            className="field w-full"
            maxLength={40}
            value={given.keyAdult ?? ''}
            onChange={(event) => set({ keyAdult: event.target.value || null })}
          />
        </Field>
      </div>
      <ErrorMessage className="mt-3">{error}</ErrorMessage>
      <NotSaved changed={changed} putBack={putBack} className="mt-4" />
      <Button kind="action" className="mt-3 w-full" disabled={running} onClick={keep}>
        Save
      </Button>
    </>
  );
}

interface OthersProps {
  readonly heading: string;
  readonly of: readonly Named[];
  readonly chosen: readonly string[];
  readonly set: (ids: readonly string[]) => void;
}

/** Some of the other children: added from a list, taken out one by one. */
function Others({ heading, of, chosen, set }: OthersProps) {
  const left = of.filter((o) => !chosen.includes(o.id));
  return (
    <div className="mt-4">
      <SelectField
        label={<span className="font-word text-lg font-bold">{heading}</span>}
        value=""
        onChange={(id) => id && set([...chosen, id])}
        options={[
          ['', chosen.length ? 'Add another child' : 'No one in particular'],
          ...left.map((o) => [o.id, o.name] as const),
        ]}
      />
      <ul className="flex flex-wrap gap-x-3">
        {of
          .filter((o) => chosen.includes(o.id))
          .map(({ id, name }) => (
            <li key={id}>
              <Button kind="quiet" onClick={() => set(chosen.filter((c) => c !== id))}>
                {name}: take out
              </Button>
            </li>
          ))}
      </ul>
    </div>
  );
}
