'use client';

import { useActionState, useState } from 'react';
import { keepProgressSettings } from '@/actions/settings';
import { UNIT_ORDERS, UNIT_ORDER_WORDS } from '@/core/progress/unit-order';
import { PLAIN_ERRS, RULES, RULE_WORDS } from '@/core/progress/rule';
import type { ProgressSettings } from '@/server/setting/settings';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { RadioGroup } from '../kit/radio-group';
import { progressForm as say } from './text';

/** How answers are weighed, which units come first, how many adults lead. */
export function ProgressForm({ settings }: { settings: ProgressSettings }) {
  const [state, action, running] = useActionState(keepProgressSettings, {});
  const [rule, setRule] = useState(settings.rule);
  const [order, setOrder] = useState(settings.unitOrder);
  return (
    <form action={action} className="max-w-3xl">
      <div className="mb-4">
        <RadioGroup
          legend={<b>{say.whenStepSecure}</b>}
          name="rule"
          value={rule}
          onChange={(next) => setRule(next as typeof rule)}
          options={RULES.map((r) => asChoice(r, RULE_WORDS[r]))}
        />
        {rule === 'plain' && <p className="border-l-4 border-marigold py-1 pl-4">{PLAIN_ERRS}</p>}
      </div>
      <div className="mb-4">
        <RadioGroup
          legend={<b>{say.unitsComeFirst}</b>}
          name="unitOrder"
          value={order}
          onChange={(next) => setOrder(next as typeof order)}
          options={UNIT_ORDERS.map((o) => asChoice(o, UNIT_ORDER_WORDS[o]))}
        />
      </div>
      <label className="mb-4 flex items-center gap-3">
        <span className="font-bold">{say.adultsLeadGroup}</span>
        <input type="number" name="staff" min={1} max={8} defaultValue={settings.staff} className="field w-24" />
      </label>
      <Button kind="action" type="submit" disabled={running}>
        {say.keep}
      </Button>
      <div aria-live="polite" className="mt-3">
        {state.said && <p className="text-green">{state.said}</p>}
        {state.error && <ErrorMessage>{state.error}</ErrorMessage>}
      </div>
    </form>
  );
}

interface Words {
  readonly name: string;
  readonly what: string;
}

const asChoice = (value: string, { name, what }: Words) => ({
  value,
  label: <b className="font-word">{name}</b>,
  hint: what,
});
