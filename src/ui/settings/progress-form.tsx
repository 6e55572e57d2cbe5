'use client';

import { keepProgressSettings } from '@/actions/settings';
import { UNIT_ORDERS, UNIT_ORDER_WORDS } from '@/core/evidence/unit-order';
import type { ProgressSettings } from '@/server/setting/settings';
import { RadioGroup } from '../kit/radio-group';
import { SavedForm, useSaving } from './saved-form';

/** Which units come first. */
export function ProgressForm({ settings }: { settings: ProgressSettings }) {
  const usual = { unitOrder: settings.unitOrder as string };
  const { values, set, view } = useSaving({ place: 'judging', usual, act: keepProgressSettings, asked: asItIs });
  return (
    <SavedForm view={view} save="Save these rules" className="max-w-3xl">
      <RadioGroup
        legend={<b>What comes first?</b>}
        value={values.unitOrder}
        onChange={(next) => set('unitOrder', next)}
        options={UNIT_ORDERS.map((o) => asChoice(o, UNIT_ORDER_WORDS[o]))}
      />
    </SavedForm>
  );
}

const asItIs = (given: { readonly unitOrder: string }) => given;

interface Words {
  readonly name: string;
  readonly what: string;
}

const asChoice = (value: string, { name, what }: Words) => ({
  value,
  label: <b className="font-word">{name}</b>,
  hint: what,
});
