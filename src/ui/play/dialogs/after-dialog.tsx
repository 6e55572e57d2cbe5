import { Dialog } from '../../kit/dialog';
import { AfterChoices, lastHere, whoseWords } from '../after-mark';
import { useNames, useRun } from '../use-run';

/** All that can still be said of the mark just made, where there is no room for it beside the marks. */
export function AfterDialog({ onClose }: { readonly onClose: () => void }) {
  const nameOf = useNames();
  const last = useRun(lastHere);
  return (
    <Dialog open low onOpenChange={onClose} title={last ? whoseWords(last, nameOf(last.childId)) : 'The last mark'}>
      <div className="flex flex-wrap gap-2.5">{last && <AfterChoices last={last} size="big" />}</div>
    </Dialog>
  );
}
