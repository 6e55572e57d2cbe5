'use client';

import { clsx } from 'clsx';
import { useState, useTransition } from 'react';
import { keepTaught } from '@/actions/words';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

export interface TaughtSound {
  readonly ipa: string;
  readonly label: string;
  readonly as?: string;
  readonly keys: readonly string[];
}
interface TaughtGridProps {
  readonly groupId: string;
  readonly groupName: string;
  readonly taught: readonly string[];
  readonly rows: readonly { readonly name: string; readonly sounds: readonly TaughtSound[] }[];
}

/** A quick grid: tick the sounds this group has been taught; each tick is kept at once. */
export function TaughtGrid({ groupId, groupName, taught, rows }: TaughtGridProps) {
  const [kept, setKept] = useState<ReadonlySet<string>>(new Set(taught));
  const [error, setError] = useState('');
  const [, begin] = useTransition();
  const all = rows.flatMap((r) => r.sounds);
  const on = ({ keys }: TaughtSound): boolean => keys.some((key) => kept.has(key));
  const set = (next: ReadonlySet<string>): void => {
    const before = kept;
    setKept(next);
    begin(async () => {
      const answer = await keepTaught(groupId, [...next]).catch(unreached('Nothing was changed.'));
      setError(answer.ok ? '' : `${answer.error} Your last tick wasn’t saved.`);
      if (!answer.ok) setKept(before);
    });
  };
  const toggle = (sound: TaughtSound): void => {
    const next = new Set(kept);
    for (const key of sound.keys)
      if (on(sound)) next.delete(key);
      else next.add(key);
    set(next);
  };
  return (
    <div className="max-w-4xl">
      <p className="mt-1 mb-3 text-lg text-muted">
        For {groupName}: {all.filter(on).length} of {all.length}. You can ask for words made only of these sounds.
      </p>
      <ErrorMessage>{error}</ErrorMessage>
      {rows.map((row) => (
        <div key={row.name} className="mb-3" role="group" aria-label={row.name}>
          <h2 className="mb-1 font-sans text-base font-normal text-muted">{row.name}</h2>
          <div className="flex flex-wrap gap-1.5">
            {row.sounds.map((sound) => (
              <button
                key={sound.ipa}
                type="button"
                aria-pressed={on(sound)}
                onClick={() => toggle(sound)}
                className={clsx(
                  'flex min-h-13 min-w-14 flex-col items-center justify-center rounded-xl border px-2',
                  'leading-tight',
                  on(sound) ? 'border-green bg-green text-card' : 'border-line-strong bg-card hover:border-ink',
                )}
              >
                <span className="font-word text-xl">{sound.label}</span>
                {sound.as && <span className="text-xs">{sound.as}</span>}
              </button>
            ))}
          </div>
        </div>
      ))}
      <p className="flex gap-2">
        <Button onClick={() => set(new Set(all.flatMap((s) => s.keys)))}>All of them</Button>
        <Button disabled={!kept.size} onClick={() => set(new Set())}>
          None
        </Button>
      </p>
    </div>
  );
}
