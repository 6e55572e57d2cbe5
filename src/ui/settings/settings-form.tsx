'use client';

import { useActionState, useState } from 'react';
import { keepSettings } from '@/app/actions';
import type { AccentId } from '@/core/phonology/accents';
import { CONVENTION_IDS, CONVENTION_WORDS, PRESETS, type ConventionId, type Conventions } from '@/core/phonology/conventions';
import type { CountingExample } from '@/server/counting-examples';
import type { Settings } from '@/server/settings';
import { ErrorMessage } from '../kit/message';

interface SettingsFormProps {
  readonly settings: Settings;
  readonly accents: readonly { readonly id: string; readonly name: string }[];
  readonly examples: Record<AccentId, Record<ConventionId, CountingExample>>;
}

const PRESET_NAMES: readonly (readonly [keyof typeof PRESETS, string])[] = [
  ['default', 'Usual'], ['strict', 'Sound by sound'], ['letters', 'As the letters go'],
];

/** Accent and counting with an example that changes as you choose. */
export function SettingsForm({ settings, accents, examples }: SettingsFormProps) {
  const [accent, setAccent] = useState<AccentId>(settings.accent);
  const [conventions, setConventions] = useState<Conventions>(settings.conventions);
  const [state, action, running] = useActionState(keepSettings, {});
  return (
    <form action={action} className="max-w-3xl">
      <fieldset className="mb-8">
        <legend className="mb-2 font-word text-2xl font-bold">Accent of the group</legend>
        <div className="flex flex-wrap gap-3">
          {accents.map(({ id, name }) => (
            <Choice key={id} name="accent" value={id} checked={accent === id} onPick={() => setAccent(id as AccentId)}>{name}</Choice>
          ))}
        </div>
      </fieldset>
      <div className="mb-3 flex flex-wrap items-center gap-2.5">
        <h2 className="mr-3 text-2xl">Counting</h2>
        {PRESET_NAMES.map(([id, name]) => (
          <button key={id} type="button" className="plain" onClick={() => setConventions(PRESETS[id])}>{name}</button>
        ))}
      </div>
      <div className="divide-y divide-line border-y border-line">
        {CONVENTION_IDS.map((id) => {
          const { question, fused, apart } = CONVENTION_WORDS[id];
          const example = examples[accent][id];
          const same = example.one === example.two;
          return (
            <fieldset key={id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-3">
              <legend className="float-left min-w-64 flex-1 text-lg">{question}</legend>
              <Choice name={id} value="one" checked={conventions[id]} onPick={() => setConventions({ ...conventions, [id]: true })}>{fused}</Choice>
              <Choice name={id} value="two" checked={!conventions[id]} onPick={() => setConventions({ ...conventions, [id]: false })}>{apart}</Choice>
              <p className="w-36 text-right text-muted">
                <span className="font-word text-lg text-ink">{example.word}</span> has {conventions[id] ? example.one : example.two}
                {same && <span className="block text-sm">either way here</span>}
              </p>
            </fieldset>
          );
        })}
      </div>
      <div aria-live="polite" className="my-4">
        {state.said && <p className="text-green">{state.said}</p>}
        {state.error && <ErrorMessage>{state.error}</ErrorMessage>}
      </div>
      <button type="submit" className="action" disabled={running}>{settings.confirmed ? 'Keep this' : 'This is how we count'}</button>
      {!settings.confirmed && <p className="mt-3 text-muted">Until you say so, words whose count is argued about stay out of the games.</p>}
    </form>
  );
}

interface ChoiceProps { name: string; value: string; checked: boolean; onPick: () => void; children: string }

function Choice({ name, value, checked, onPick, children }: ChoiceProps) {
  return (
    <label className={`flex min-h-12 cursor-pointer items-center gap-2 rounded-full border px-4 has-focus-visible:outline-3 has-focus-visible:outline-slate ${checked ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink'}`}>
      <input type="radio" className="sr-only" name={name} value={value} checked={checked} onChange={onPick} />
      {children}
    </label>
  );
}
