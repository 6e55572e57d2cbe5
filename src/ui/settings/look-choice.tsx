'use client';

import { clsx } from 'clsx';
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
    <fieldset className="mt-12 max-w-3xl border-t border-line pt-6">
      <legend className="float-left mb-3 w-full font-word text-2xl font-bold">{say.onThisDevice}</legend>
      <div className="clear-both flex flex-wrap gap-2.5">
        {LOOKS.map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-pressed={look === id}
            onClick={() => change(id)}
            className={clsx(
              'min-h-12 rounded-full border px-5',
              look === id ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink',
            )}
          >
            {name}
          </button>
        ))}
      </div>
      <p className="mt-2 text-muted">{say.onlyOncePrinted}</p>
    </fieldset>
  );
}
