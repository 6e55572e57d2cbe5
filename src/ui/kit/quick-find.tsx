'use client';

import { Search } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';

/** What finds things is fetched when something is looked for. */
const Finding = dynamic(() => import('./quick-find-dialog').then((m) => m.QuickFindDialog), { ssr: false });

const KEYS = ['Control+K', 'Meta+K'].join(' ');

/** Finds anything by name or by sounds: a button at the top, or Ctrl and K (⌘ and K). */
export function QuickFind() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const pressed = (event: KeyboardEvent): void => {
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey) || event.altKey || event.shiftKey)
        return;
      event.preventDefault();
      setOpen((was) => !was);
    };
    document.addEventListener('keydown', pressed);
    return () => document.removeEventListener('keydown', pressed);
  }, []);
  return (
    <>
      <button
        type="button"
        aria-keyshortcuts={KEYS}
        title="Find anything (Ctrl and K, or ⌘ and K)"
        onClick={() => setOpen(true)}
        className="flex min-h-12 min-w-12 items-center justify-center gap-2 rounded-lg px-2 text-muted hover:text-ink"
      >
        <Search aria-hidden="true" size={20} /> <span className="sm:max-lg:sr-only">Find</span>
      </button>
      {open && <Finding close={() => setOpen(false)} />}
    </>
  );
}
