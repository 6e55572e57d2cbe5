'use client';

import { clsx } from 'clsx';
import { Delete } from 'lucide-react';
import { useState } from 'react';
import { isVowelKey } from '@/core/phonology/keys';
import { Button } from '../kit/button';
import { SelectField } from '../kit/select';

export interface PadKey {
  readonly key: string;
  readonly label: string;
  readonly as?: string;
}

/** The sounds of the accent to tap, one after the other, as the adult says the word slowly. */
export function TapPad({
  consonants,
  vowels,
  onShow,
  busy,
}: {
  consonants: readonly PadKey[];
  vowels: readonly PadKey[];
  onShow: (keys: readonly string[], strong: number) => void;
  busy: boolean;
}) {
  const [taps, setTaps] = useState<readonly PadKey[]>([]);
  const [strong, setStrong] = useState(0);
  const beats = taps.filter((t) => isVowelKey(t.key));
  const tap = (sound: PadKey): void => {
    if (taps.length < 16) setTaps([...taps, sound]);
  };
  return (
    <section aria-label="Tap the sounds" className="mb-4">
      <div className="mb-3 flex min-h-14 items-center gap-2 border-b-2 border-line-strong">
        <p aria-live="polite" className="flex-1 font-word text-2xl">
          {taps.length ? (
            taps.map((t) => t.label).join(' · ')
          ) : (
            <span className="font-sans text-base text-muted">no sound yet</span>
          )}
        </p>
        <button
          type="button"
          className="grid size-12 place-items-center rounded-lg hover:bg-card"
          disabled={!taps.length}
          onClick={() => setTaps(taps.slice(0, -1))}
          aria-label="Delete the last sound"
        >
          <Delete aria-hidden="true" size={22} />
        </button>
      </div>
      {[['Consonants', consonants] as const, ['Vowels', vowels] as const].map(([name, sounds]) => (
        <Keys key={name} name={name} sounds={sounds} tap={tap} />
      ))}
      {beats.length > 1 && (
        <div className="mb-3">
          <SelectField
            inline
            label="The strongest beat has"
            value={String(strong)}
            onChange={(next) => setStrong(Number(next))}
            options={beats.map((b, i) => [String(i), `${b.label} (${i + 1})`])}
          />
        </div>
      )}
      <Button
        disabled={busy || taps.length < 2 || !beats.length}
        onClick={() =>
          onShow(
            taps.map((t) => t.key),
            Math.min(strong, beats.length - 1),
          )
        }
      >
        Show these sounds
      </Button>
    </section>
  );
}

/** The sounds of one kind. */
function Keys({
  name,
  sounds,
  tap,
}: {
  readonly name: 'Consonants' | 'Vowels';
  readonly sounds: readonly PadKey[];
  readonly tap: (sound: PadKey) => void;
}) {
  return (
    <div role="group" aria-label={name} className="mb-3 flex flex-wrap gap-1.5">
      {sounds.map((s) => (
        <button
          key={s.key}
          type="button"
          className={clsx(
            'flex min-h-13 min-w-13 flex-col items-center justify-center rounded-xl border',
            'border-line-strong bg-card px-2 leading-tight hover:border-ink',
          )}
          onClick={() => tap(s)}
        >
          <span className="font-word text-xl">{s.label}</span>
          {s.as && <span className="text-xs text-muted">{s.as}</span>}
        </button>
      ))}
    </div>
  );
}
