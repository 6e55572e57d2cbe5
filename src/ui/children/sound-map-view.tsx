'use client';

import { clsx } from 'clsx';
import { useState } from 'react';
import type { MapCell, SoundMap } from '@/core/evidence/sound-map';
import { WORD_PLACES, WORD_PLACE_NAMES, type WordPlace } from '@/core/evidence/word-places';
import type { ChildPage } from '@/server/children/child-page';
import { Folding } from '../kit/folding';
import { MANNER_WORDS } from '../kit/manners';

interface Seen {
  readonly held: number;
  readonly asked: number;
  readonly low: number;
  readonly high: number;
}

const perTen = (share: number): string => `${Math.round(share * 10)} in 10`;

const cellLabel = (where: string, state: string, cell: Seen) =>
  cell.asked >= 4
    ? `${where}: ${state}, ${cell.held} of ${cell.asked} times (likely between ${perTen(cell.low)} and ` +
      `${perTen(cell.high)})`
    : `${where}: ${state}, ${cell.held} of ${cell.asked} times`;

const LOOK = {
  holds: 'bg-ink text-card',
  slips: 'bg-card font-bold shadow-[inset_0_0_0_3px_var(--color-marigold)]',
  open: 'border-2 border-dashed border-line-strong bg-card',
  'little-seen': 'text-muted',
} as const;
const STATE = {
  holds: 'holds',
  slips: 'slips',
  open: 'not settled yet: it may be how they say it',
  'little-seen': 'not enough seen yet',
} as const;

/** The chart of sounds with what holds and what slips in one place of the word: dark, ringed, pale. */
export function SoundMapView({ map, chart }: { map: SoundMap; chart: ChildPage['chart'] }) {
  const seen = (spot: WordPlace): number =>
    map.cells.filter((c) => c.spot === spot && c.state !== 'little-seen').length;
  const [spot, setSpot] = useState<WordPlace>(
    map.cells.find((c) => c.state === 'slips')?.spot ?? (seen('first') >= seen('last') ? 'first' : 'last'),
  );
  const cells = new Map(map.cells.filter((c) => c.spot === spot).map((c) => [c.ipa, c]));
  const one = (ipa: string, label: string) => {
    const cell: MapCell | undefined = cells.get(ipa);
    const state = cell?.state ?? 'little-seen';
    const words = cell
      ? cellLabel(`/${label}/ ${WORD_PLACE_NAMES[spot]}`, STATE[state], cell)
      : `${`/${label}/ ${WORD_PLACE_NAMES[spot]}`}: not asked for yet`;
    return (
      <li key={ipa}>
        <span
          role="img"
          aria-label={words}
          title={words}
          className={`grid size-8 place-items-center rounded-lg font-word text-lg leading-none ${LOOK[state]}`}
        >
          {label}
        </span>
      </li>
    );
  };
  return (
    <Folding id="map" title={`Sounds ${WORD_PLACE_NAMES[spot]}`}>
      <div role="group" aria-label="Where in the word" className="my-1 flex flex-wrap gap-1">
        {WORD_PLACES.map((s) => (
          <button
            key={s}
            type="button"
            aria-pressed={s === spot}
            onClick={() => setSpot(s)}
            className={clsx(
              'min-h-12 rounded-full px-3',
              s === spot ? 'bg-slate-soft font-bold' : 'text-muted hover:bg-card',
            )}
          >
            {s === 'cluster' ? 'cluster' : WORD_PLACE_NAMES[s].split(' ').at(-1)}
          </button>
        ))}
      </div>
      {chart.consonants.map((row) => (
        <ul key={row.name} aria-label={MANNER_WORDS[row.name]} className="flex flex-wrap gap-0.5">
          {row.sounds.map((s) => one(s.ipa, s.label))}
        </ul>
      ))}
      {(spot === 'middle' || spot === 'last') && (
        <ul aria-label="vowels" className="mt-1 flex flex-wrap gap-0.5">
          {chart.vowels.map((s) => one(s.ipa, s.label))}
        </ul>
      )}
      <p className="mt-2 text-[0.95rem] leading-snug text-muted">
        Filled: secure. Ringed: often missed. Dashed: it may be how they say it. Pale: not enough seen yet. We name a
        pattern only when it’s unlikely to be chance.
      </p>
    </Folding>
  );
}
