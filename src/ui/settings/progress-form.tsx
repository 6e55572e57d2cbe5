'use client';

import { useActionState, useState, useTransition } from 'react';
import type { FormState } from '@/actions/answer';
import { keepProgressSettings } from '@/actions/settings';
import { UNIT_ORDERS, UNIT_ORDER_WORDS } from '@/core/evidence/unit-order';
import type { ProgressSettings } from '@/server/setting/settings';
import { Button } from '../kit/button';
import { formOf, useKeptForm } from '../kit/kept-form';
import { ErrorMessage } from '../kit/message';
import { RadioGroup } from '../kit/radio-group';
import { SentFields } from '../kit/sent-fields';
import { unreached } from '../kit/unreached';

/** Which units come first. */
export function ProgressForm({ settings }: { settings: ProgressSettings }) {
  const { form, values, done } = useKeptForm('judging', {
    unitOrder: settings.unitOrder as string,
  });
  const [sent, send] = useActionState(keepProgressSettings, {});
  const [state, setState] = useState<FormState>(sent);
  const [running, begin] = useTransition();
  const keep = form.handleSubmit((given) =>
    begin(async () => {
      const now = await keepProgressSettings({}, formOf(given)).catch(unreached('What you chose is still here.'));
      setState(now);
      if (!now.error) done(given);
    }),
  );
  return (
    <form action={send} onSubmit={keep} className="max-w-3xl">
      <SentFields values={{ ...values }} />
      <div className="mb-4">
        <RadioGroup
          legend={<b>What comes first?</b>}
          value={values.unitOrder}
          onChange={(next) => form.setValue('unitOrder', next, { shouldDirty: true })}
          options={UNIT_ORDERS.map((o) => asChoice(o, UNIT_ORDER_WORDS[o]))}
        />
      </div>
      <Button kind="action" type="submit" disabled={running}>
        Save these rules
      </Button>
      <div aria-live="polite" className="mt-3">
        {state.said && <p className="text-green">{state.said}</p>}
        <ErrorMessage>{state.error}</ErrorMessage>
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
