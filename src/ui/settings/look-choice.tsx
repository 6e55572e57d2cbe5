'use client';

import { ToggleGroup } from '../kit/toggle-group';
import { useLook } from '../kit/use-look';
import { lookChoice as say } from './text';

const LOOKS = [
  ['light', say.lightDay],
  ['dim', say.dimNapTime],
] as const;

/** How bright the screen is, on this device. */
export function LookChoice() {
  const [look, change] = useLook();
  return (
    <section className="mt-12 max-w-3xl border-t border-line pt-6">
      <h2 className="mb-3 text-2xl">{say.onThisDevice}</h2>
      <ToggleGroup
        label={say.onThisDevice}
        value={look}
        onChange={(next) => change(next === 'dim' ? 'dim' : 'light')}
        options={LOOKS}
      />
      <p className="mt-2 text-muted">{say.onlyOncePrinted}</p>
    </section>
  );
}
