'use client';

import { useActionState, useState } from 'react';
import { keepProgressSettings } from '@/actions/settings';
import { UNIT_ORDERS, UNIT_ORDER_WORDS } from '@/core/progress/ladders';
import { PLAIN_ERRS, RULES, RULE_WORDS } from '@/core/progress/rule';
import type { ProgressSettings } from '@/server/setting/settings';
import { ErrorMessage } from '../kit/message';
import { progressForm as say } from './text';

/** How answers are weighed, which units come first, how many adults lead. */
export function ProgressForm({ settings }: { settings: ProgressSettings }) {
  const [state, action, running] = useActionState(keepProgressSettings, {});
  const [rule, setRule] = useState(settings.rule);
  const [order, setOrder] = useState(settings.unitOrder);
  return (
    <form action={action} className="mt-12 max-w-3xl border-t border-line pt-6">
      <h2 className="mb-2 text-2xl">{say.whatAnswersMean}</h2>
      <fieldset className="mb-4">
        <legend className="mb-1 font-bold">{say.whenStepSecure}</legend>
        {RULES.map((r) => (
          <Choice key={r} name="rule" value={r} on={rule === r} onPick={() => setRule(r)} words={RULE_WORDS[r]} />
        ))}
        {rule === 'plain' && <p className="border-l-4 border-marigold py-1 pl-4">{PLAIN_ERRS}</p>}
      </fieldset>
      <fieldset className="mb-4">
        <legend className="mb-1 font-bold">{say.unitsComeFirst}</legend>
        {UNIT_ORDERS.map((o) => (
          <Choice
            key={o}
            name="unitOrder"
            value={o}
            on={order === o}
            onPick={() => setOrder(o)}
            words={UNIT_ORDER_WORDS[o]}
          />
        ))}
      </fieldset>
      <label className="mb-4 flex items-center gap-3">
        <span className="font-bold">{say.adultsLeadGroup}</span>
        <input type="number" name="staff" min={1} max={8} defaultValue={settings.staff} className="field w-24" />
      </label>
      <button type="submit" className="action" disabled={running}>
        {say.keep}
      </button>
      <div aria-live="polite" className="mt-3">
        {state.said && <p className="text-green">{state.said}</p>}
        {state.error && <ErrorMessage>{state.error}</ErrorMessage>}
      </div>
    </form>
  );
}

interface ChoiceProps {
  readonly name: string;
  readonly value: string;
  readonly on: boolean;
  readonly onPick: () => void;
  readonly words: { readonly name: string; readonly what: string };
}

const Choice = ({ name, value, on, onPick, words }: ChoiceProps) => (
  <label className="flex cursor-pointer items-start gap-3 py-2">
    <input type="radio" name={name} value={value} checked={on} onChange={onPick} className="mt-1 size-5 accent-green" />
    <span>
      <b className="font-word">{words.name}</b>
      <span className="block text-muted">{words.what}</span>
    </span>
  </label>
);
