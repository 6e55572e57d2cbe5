'use client';

import { Dialog } from '../../kit/dialog';

/** Each key and what it does. */
const PLAY_KEYS: readonly (readonly [string, string])[] = [
  ['1', 'On own'],
  ['2', 'With help'],
  ['3', 'Not yet'],
  ['4', 'No reply'],
  ['5', 'Doesn’t count'],
  ['Z X C V', 'the likely answers'],
  ['Enter', 'go on: the first turn, the next round'],
  ['Space', 'tap the sounds out'],
  ['↑ ↓', 'another child'],
  ['← →', 'who speaks: me, all of us, you'],
  ['A', 'said again'],
  ['S', 'slower'],
  ['W', 'other word'],
  ['P', 'come back to this child later'],
  ['N', 'note'],
  ['T', 'something else they said'],
  ['O', 'corrected themselves'],
  ['B', 'pause'],
  ['D', 'on this device'],
  ['U', 'undo'],
  ['H', 'children can see'],
  ['?', 'these keys'],
];

/** Every key of the run. */
export const KeysDialog = ({ onClose }: { onClose: () => void }) => (
  <Dialog open onOpenChange={onClose} title="Keys">
    <dl className="grid grid-cols-[7rem_1fr] gap-y-2">
      {PLAY_KEYS.map(([key, what]) => (
        <div key={key} className="contents">
          <dt className="font-word font-bold">{key}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  </Dialog>
);
