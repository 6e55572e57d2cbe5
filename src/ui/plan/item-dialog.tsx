'use client';

import { ArrowLeft, ArrowRight, Lock, LockOpen, RefreshCw, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { OWN_NAME, readKey } from '@/core/games/spec';
import type { ShownItem } from '@/server/plans/plan-shown';
import { Button } from '../kit/button';
import { BounceLine } from '../kit/bounce-line';
import { Dialog } from '../kit/dialog';

interface ItemDialogProps {
  readonly item: { readonly key: string; readonly locked: boolean; readonly shown: ShownItem | null };
  readonly at: number;
  readonly total: number;
  readonly inOrder: boolean;
  readonly chain: boolean;
  readonly onClose: () => void;
  readonly onSwap: () => Promise<void>;
  readonly onLock: () => void;
  readonly onMove: (by: number) => void;
  readonly onRemove: () => void;
  /** Puts one of its words aside for the group. */
  readonly onAside: (word: string) => Promise<void>;
}

/** One item: what is said, what is right, why it is here; swap it, keep it, move it, take it out. */
export function ItemDialog({
  item,
  at,
  total,
  inOrder,
  chain,
  onClose,
  onSwap,
  onLock,
  onMove,
  onRemove,
  onAside,
}: ItemDialogProps) {
  const [busy, setBusy] = useState(false);
  const { shown, locked } = item;
  return (
    <Dialog open onOpenChange={onClose} title={shown?.label ?? item.key}>
      {shown?.problem ? (
        <p className="mb-4 text-red">{shown.problem}</p>
      ) : (
        shown && (
          <>
            {shown.marks.length > 0 && (
              <div className="mb-3">
                <BounceLine marks={shown.marks} count={shown.count} size="list" />
              </div>
            )}
            <p className="font-word text-xl">“{shown.say}”</p>
            <p className="mt-1 mb-3">
              Right: <strong className="font-word">{shown.expected}</strong>
            </p>
            <p className="mb-5 text-[0.95rem] text-muted">
              {shown.reasons.join(' · ')}
              {shown.contested && ` · ${shown.contested}`}
            </p>
          </>
        )
      )}
      <Changes
        inOrder={inOrder}
        chain={chain}
        busy={busy}
        setBusy={setBusy}
        onSwap={onSwap}
        locked={locked}
        onLock={onLock}
        at={at}
        onMove={onMove}
        total={total}
        onRemove={onRemove}
      />
      <NotWithUs words={readKey(item.key).words.filter((word) => word !== OWN_NAME)} onAside={onAside} />
    </Dialog>
  );
}

interface ChangesProps {
  readonly inOrder: boolean;
  readonly chain: boolean;
  readonly busy: boolean;
  readonly setBusy: (next: boolean) => void;
  readonly onSwap: () => Promise<void>;
  readonly locked: boolean;
  readonly onLock: () => void;
  readonly at: number;
  readonly onMove: (by: number) => void;
  readonly total: number;
  readonly onRemove: () => void;
}

/** What can be done with an item. */
function Changes({ inOrder, chain, busy, setBusy, onSwap, locked, onLock, at, onMove, total, onRemove }: ChangesProps) {
  return (
    <div className="grid grid-cols-2 gap-2.5">
      {(!inOrder || chain) && (
        <Button
          disabled={busy}
          onClick={() => {
            setBusy(true);
            void onSwap().finally(() => setBusy(false));
          }}
        >
          <RefreshCw aria-hidden="true" size={18} /> {chain ? 'Try another chain' : 'Swap this word'}
        </Button>
      )}
      {!inOrder && (
        <Button aria-pressed={locked} onClick={onLock}>
          {locked ? <LockOpen aria-hidden="true" size={18} /> : <Lock aria-hidden="true" size={18} />}{' '}
          {locked ? 'Unlock' : 'Lock'}
        </Button>
      )}
      {!inOrder && (
        <Button disabled={at === 0} onClick={() => onMove(-1)}>
          <ArrowLeft aria-hidden="true" size={18} /> Move earlier
        </Button>
      )}
      {!inOrder && (
        <Button disabled={at === total - 1} onClick={() => onMove(1)}>
          Move later <ArrowRight aria-hidden="true" size={18} />
        </Button>
      )}
      <Button disabled={inOrder && at !== total - 1} onClick={onRemove}>
        <Trash2 aria-hidden="true" size={18} /> Remove
      </Button>
    </div>
  );
}

/** The words of an item, each to be put aside for the group. */
function NotWithUs({
  words,
  onAside,
}: {
  readonly words: readonly string[];
  readonly onAside: (word: string) => Promise<void>;
}) {
  const [busy, setBusy] = useState(false);
  if (!words.length) return null;
  return (
    <div className="mt-4 flex flex-wrap items-center gap-2 border-t border-line pt-3">
      <span className="text-muted">Not with this group:</span>
      {[...new Set(words)].map((word) => (
        <Button
          key={word}
          className="font-word"
          disabled={busy}
          onClick={() => {
            setBusy(true);
            void onAside(word).finally(() => setBusy(false));
          }}
        >
          {word}
        </Button>
      ))}
    </div>
  );
}
