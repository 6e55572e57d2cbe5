'use client';

import { SlidersHorizontal } from 'lucide-react';
import { useState } from 'react';
import { Dialog } from '../kit/dialog';
import { TaughtGrid, type TaughtSound } from '../settings/taught-grid';

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
        <SlidersHorizontal aria-hidden="true" size={18} />{' '}
        {ticked.length ? 'change our sounds' : 'tick the sounds you’ve taught'}
      </button>
      <Dialog open={open} onOpenChange={setOpen} title="Sounds we’ve taught" wide>
        <TaughtGrid groupId={groupId} groupName={groupName} taught={ticked} rows={rows} />
      </Dialog>
    </>
  );
}
