'use client';

import { Download } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { eraseChild } from '@/actions/groups';
import type { HeldOfChild } from '@/server/people/held-of';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

interface EraseProps {
  readonly child: { readonly id: string; readonly name: string };
  readonly held: HeldOfChild;
}

const counted = (many: number, one: string, more: string): string => (many === 1 ? `one ${one}` : `${many} ${more}`);

/** What goes, with how much there is of it. Example: `42 answers and 3 notes in 8 sessions`. */
function whatGoes({ answers, notes, sessions, papers }: HeldOfChild): string {
  if (!sessions) return 'They haven’t played yet, so there are no answers.';
  const grids = papers ? ` They’re also taken off ${counted(papers, 'tick grid', 'tick grids')}.` : '';
  return (
    `That’s ${counted(answers, 'answer', 'answers')} and ${counted(notes, 'note', 'notes')} in ` +
    `${counted(sessions, 'session', 'sessions')}, the steps chosen for them and how they speak.${grids}`
  );
}

/** Erases a child from the file, asked once, with all that goes counted, and their file offered first. */
export function EraseChild({ child, held }: EraseProps) {
  const [open, setOpen] = useState(false);
  const [error, setError] = useState<string | null>(null);
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
          `This erases ${child.name} for good. ${whatGoes(held)} You can’t undo it, and a backup you made earlier ` +
          'still has them.'
        }
      >
        <p className="mb-4">
          <a className="plain" href={`/api/children/${child.id}/export?as=json`} download>
            <Download size={18} aria-hidden="true" /> Download their file first
          </a>
        </p>
        <div className="flex flex-wrap gap-3">
          <button type="button" className="plain" onClick={() => setOpen(false)}>
            Keep {child.name}
          </button>
          <button
            type="button"
            className="plain border-red text-red"
            disabled={running}
            onClick={() =>
              begin(async () => {
                const state = await eraseChild(child.id).catch(unreached('Nothing was erased.'));
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
