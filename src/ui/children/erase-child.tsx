'use client';

import { Download } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { eraseChild } from '@/actions/groups';
import { counted } from '@/core/in-words';
import type { HeldOfChild } from '@/server/people/held-of';
import { Dialog } from '../kit/dialog';
import { Initials } from '../kit/initials';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

interface EraseProps {
  readonly child: { readonly id: string; readonly name: string };
  readonly held: HeldOfChild;
}

/** What goes, with how much there is of it. Example: `42 answers and 3 notes in 8 sessions`. */
function whatGoes({ answers, notes, sessions, papers }: HeldOfChild): string {
  if (!sessions) return 'They haven’t played yet, so there are no answers.';
  const grids = papers ? ` They’re also taken off ${counted(papers, 'tick grid')}.` : '';
  return (
    `That’s ${counted(answers, 'answer')} and ${counted(notes, 'note')} in ` +
    `${counted(sessions, 'session')}, the steps chosen for them and how they speak.${grids}`
  );
}

/** Erases a child from the file, asked once, with all that goes counted, and their file offered first. */
export function EraseChild({ child, held }: EraseProps) {
  const [open, setOpen] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [by, setBy] = useState('');
  const [running, begin] = useTransition();
  const router = useRouter();
  return (
    <>
      <button type="button" className="plain" onClick={() => setOpen(true)}>
        Erase {child.name}…
      </button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={`Erase ${child.name}?`}
        description={
          `This erases ${child.name} for good. ${whatGoes(held)} You can’t undo it. Older backups still hold them ` +
          'until they go, but putting one back erases them again.'
        }
      >
        <p className="mb-4">
          <a className="plain" href={`/api/children/${child.id}/export?as=json`} download>
            <Download size={18} aria-hidden="true" /> Download their file first
          </a>
        </p>
        <Initials value={by} onChange={setBy} />
        <div className="mt-4 flex flex-wrap gap-3">
          <button type="button" className="plain" onClick={() => setOpen(false)}>
            Keep {child.name}
          </button>
          <button
            type="button"
            className="plain border-red text-red"
            disabled={running}
            onClick={() =>
              begin(async () => {
                const state = await eraseChild(child.id, by).catch(unreached('Nothing was erased.'));
                if (state.error) setError(state.error);
                else router.push('/children');
              })
            }
          >
            Erase {child.name} and their answers
          </button>
        </div>
        <ErrorMessage className="mt-4">{error}</ErrorMessage>
      </Dialog>
    </>
  );
}
