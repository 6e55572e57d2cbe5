'use client';

import { clsx } from 'clsx';
import { ChevronRight } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';

interface FoldingProps {
  readonly id: string;
  readonly title: string;
  /** Classes of the heading. */
  readonly heading?: string;
  readonly children: ReactNode;
}

/** A part of a page that is folded under its heading on a phone, and open where there is room or it was asked for. */
export function Folding({ id, title, heading = 'text-xl', children }: FoldingProps) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onHash = (): void => {
      if (window.location.hash === `#${id}`) setOpen(true);
    };
    const first = setTimeout(onHash, 0);
    window.addEventListener('hashchange', onHash);
    return () => {
      clearTimeout(first);
      window.removeEventListener('hashchange', onHash);
    };
  }, [id]);
  return (
    <section aria-labelledby={id}>
      <h2 id={id} className={heading}>
        <span className="max-lg:hidden">{title}</span>
        <button
          type="button"
          aria-expanded={open}
          aria-controls={`${id}-part`}
          className="flex min-h-12 w-full items-center gap-2 text-left lg:hidden"
          onClick={() => setOpen(!open)}
        >
          <ChevronRight aria-hidden="true" size={20} className={clsx('shrink-0', open && 'rotate-90')} />
          {title}
        </button>
      </h2>
      <div id={`${id}-part`} className={open ? '' : 'max-lg:hidden'}>
        {children}
      </div>
    </section>
  );
}
