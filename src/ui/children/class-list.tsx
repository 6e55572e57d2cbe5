'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import type { ClassListProps } from './class-list-reading';
import { classListDialog as say } from './text';

/** What reads a list is fetched when a list is brought in. */
const Reading = dynamic(() => import('./class-list-reading').then((m) => m.ClassListReading), { ssr: false });

/** A class list, pasted or from a file, looked through line by line before any of it is taken. */
export function ClassListButton(props: ClassListProps) {
  const [open, setOpen] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const done = (text: string): void => {
    setSaid(text);
    setOpen(false);
  };
  return (
    <section>
      <h2 className="mb-1 text-2xl">{say.aClassList}</h2>
      <p className="mb-2 text-muted">{say.fromYourRegister}</p>
      <Button onClick={() => setOpen(true)}>{say.bringIn}</Button>
      <p role="status" className={said ? 'mt-3 text-green' : ''}>
        {said}
      </p>
      <Dialog open={open} onOpenChange={setOpen} title={say.aClassList}>
        {open && <Reading {...props} done={done} />}
      </Dialog>
    </section>
  );
}
