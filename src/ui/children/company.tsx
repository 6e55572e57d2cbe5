'use client';

import { useState, useTransition } from 'react';
import { keepCompany } from '@/actions/groups';
import type { Company } from '@/core/choosing/company';
import { Button } from '../kit/button';
import { Checkbox } from '../kit/checkbox';
import { Dialog } from '../kit/dialog';
import { Field } from '../kit/field';
import { ErrorMessage } from '../kit/message';
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
export function CompanyDialog({ child: { id, name, company }, others, open, onOpenChange }: CompanyProps) {
  const [given, setGiven] = useState(company);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const set = (next: Partial<Company>): void => setGiven({ ...given, ...next });
  const keep = (): void =>
    begin(async () => {
      const state = await keepCompany(id, given).catch(unreached('What you chose is still here.'));
      setError(state.error ?? null);
      if (!state.error) onOpenChange(false);
    });
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title={`Days and groups: ${name}`}
      description="We use this to make the small groups on Today."
    >
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
      <Button kind="action" className="mt-5 w-full" disabled={running} onClick={keep}>
        Save
      </Button>
    </Dialog>
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
