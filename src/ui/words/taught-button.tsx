'use client';

import { SlidersHorizontal } from 'lucide-react';
import { useState } from 'react';
import { Dialog } from '../kit/dialog';
import { TaughtGrid, type TaughtSound } from '../settings/taught-grid';
import { taughtButton as say } from './text';

export type TickRows = readonly { readonly name: string; readonly sounds: readonly TaughtSound[] }[];

interface TaughtButtonProps {
  readonly groupId: string;
  readonly groupName: string;
  readonly ticked: readonly string[];
  readonly rows: TickRows;
}

/** Says which sounds a group has been taught, where words with only these are asked for. */
export function TaughtButton({ groupId, groupName, ticked, rows }: TaughtButtonProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="flex min-h-12 items-center gap-2 rounded-full px-3 text-muted hover:text-ink"
      >
        <SlidersHorizontal aria-hidden="true" size={18} /> {ticked.length ? say.change : say.tick}
      </button>
      <Dialog open={open} onOpenChange={setOpen} title={say.soundsTaught} wide>
        <TaughtGrid groupId={groupId} groupName={groupName} taught={ticked} rows={rows} />
      </Dialog>
    </>
  );
}
