'use client';

import { useState, useTransition } from 'react';
import { keepAgeBand } from '@/actions/groups';
import { AGE_BANDS, bandName, type AgeBand } from '@/core/evidence/age-band';
import { ErrorMessage } from '../kit/message';
import { SelectField } from '../kit/select';
import { unreached } from '../kit/unreached';

interface AgeBandFieldProps {
  readonly group: { readonly id: string; readonly name: string; readonly ageBand: AgeBand | null };
  readonly country: 'gb' | 'us';
}

/** How old the children of a group are: steps that nobody expects of them yet say so. */
export function AgeBandField({ group, country }: AgeBandFieldProps) {
  const [band, setBand] = useState(group.ageBand);
  const [error, setError] = useState<string | null>(null);
  const [, begin] = useTransition();
  const keep = (next: AgeBand | null): void => {
    setBand(next);
    begin(async () => {
      const state = await keepAgeBand(group.id, next).catch(unreached('Please choose again in a moment.'));
      setError(state.error ?? null);
      if (state.error) setBand(group.ageBand);
    });
  };
  return (
    <div>
      <div className="max-w-80">
        <SelectField
          label="How old are they?"
          value={band ?? ''}
          onChange={(value) => keep(AGE_BANDS.find((b) => b === value) ?? null)}
          options={[['', 'not set'], ...AGE_BANDS.map((b): [string, string] => [b, bandName(b, country)])]}
        />
      </div>
      <ErrorMessage className="mt-2">{error}</ErrorMessage>
    </div>
  );
}
