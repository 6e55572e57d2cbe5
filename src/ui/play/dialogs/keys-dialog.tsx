'use client';

import { Dialog } from '../../kit/dialog';
import { keys as say } from './text';

/** Each key and what it does. */
const PLAY_KEYS: readonly (readonly [string, string])[] = [
  ['1', say.onOwn],
  ['2', say.withHelp],
  ['3', say.notYet],
  ['4', say.noReply],
  ['5', say.doesntCount],
  ['Z X C V', say.theLikelyAnswers],
  [say.space, say.beatSoundsOut],
  ['↑ ↓', say.anotherChild],
  ['← →', say.myTurnTogether],
  ['A', say.saidAgain],
  ['S', 'slower'],
  ['W', say.otherWord],
  ['P', say.comeBackChild],
  ['N', 'note'],
  ['T', say.somethingElseSaid],
  ['O', say.putRightSelf],
  ['B', 'pause'],
  ['D', say.onThisDevice],
  ['U', 'undo'],
  ['H', say.childrenCanSee],
  ['?', say.theseKeys],
];

/** Every key of the run. */
export const KeysDialog = ({ onClose }: { onClose: () => void }) => (
  <Dialog open onOpenChange={onClose} title={say.keys}>
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
