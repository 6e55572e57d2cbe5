'use client';

import { GripVertical } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useRef, useState, type ComponentProps } from 'react';

/** A menu is fetched when a handle is tapped. */
const Menu = dynamic(() => import('../kit/menu').then((m) => m.Menu), { ssr: false });

const ICON = 'grid size-12 shrink-0 place-items-center rounded-lg text-muted hover:bg-card hover:text-ink';

interface MoveHandleProps {
  readonly name: string;
  /** Its place among `of`, from 0. */
  readonly at: number;
  readonly of: number;
  readonly onMove: (to: number) => void;
  /** What makes it a handle to drag by, or to lift by keys. */
  readonly drag: ComponentProps<'button'>;
}

/** Drag it, lift it by keys, or tap it for a menu; the focus stays on it wherever it goes. */
export function MoveHandle({ name, at, of, onMove, drag }: MoveHandleProps) {
  const [open, setOpen] = useState(false);
  const [asked, ask] = useState(false);
  const handle = useRef<HTMLButtonElement>(null);
  const back = (): void => handle.current?.focus();
  const move = (to: number): void => {
    onMove(to);
    requestAnimationFrame(back);
  };
  return (
    <span className="relative">
      <button
        type="button"
        className={`${ICON} cursor-grab`}
        {...drag}
        ref={handle}
        aria-label={name}
        aria-haspopup="menu"
        aria-expanded={open}
        // A click without a finger or a mouse is a key, which lifts.
        onClick={({ detail }) => {
          if (!detail) return;
          ask(true);
          setOpen(true);
        }}
      >
        <GripVertical aria-hidden="true" size={20} />
      </button>
      {asked && (
        <Menu
          open={open}
          onOpenChange={setOpen}
          backTo={handle}
          trigger={<span aria-hidden="true" className="absolute inset-x-0 bottom-0" />}
          acts={[
            { name: 'Move up', disabled: at === 0, does: () => move(at - 1) },
            { name: 'Move down', disabled: at === of - 1, does: () => move(at + 1) },
            { name: 'Move to the top', disabled: at === 0, does: () => move(0) },
            { name: 'Move to the end', disabled: at === of - 1, does: () => move(of - 1) },
          ]}
        />
      )}
    </span>
  );
}
