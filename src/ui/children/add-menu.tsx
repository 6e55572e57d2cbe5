'use client';

import { Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState, useTransition } from 'react';
import { plantGroup } from '@/actions/groups';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { Menu } from '../kit/menu';
import { ErrorMessage } from '../kit/message';
import { AddChildren, AddGroup, TakeBack } from './add-forms';
import type { ClassListProps } from './class-list-reading';
import { unreached } from '../kit/unreached';

/** What reads a list is fetched when a list is brought in. */
const Reading = dynamic(() => import('./class-list-reading').then((m) => m.ClassListReading), { ssr: false });

interface AddMenuProps extends ClassListProps {
  /** Somebody has no plant yet. */
  readonly plants: boolean;
  /** Names stand in a box of their own: the group is empty. */
  readonly empty: boolean;
}

type Adding = 'names' | 'list' | 'group';
interface Said {
  readonly said?: string;
  readonly error?: string;
  /** Ids of the children who were just added. */
  readonly made?: readonly string[];
}

/** Everything that is added to a list, behind one button: names, a class list, plants, another group. */
export function AddMenu({ plants, empty, ...props }: AddMenuProps) {
  const [adding, setAdding] = useState<Adding | null>(null);
  const [now, setNow] = useState<Said>({});
  const [, begin] = useTransition();
  const open = (what: Adding): void => {
    setNow({});
    setAdding(what);
  };
  const close = (): void => setAdding(null);
  const done = (said: string, made: readonly string[] = []): void => {
    setNow({ said, made });
    close();
  };
  const plant = (): void =>
    begin(async () => {
      const state = await plantGroup(props.groupId).catch(unreached());
      setNow(
        state.error
          ? { error: state.error }
          : { said: 'Everyone has a plant now. It stands beside their name for children who can’t read it yet.' },
      );
    });
  return (
    <>
      <div className="ml-auto">
        <Menu
          trigger={
            <Button>
              <Plus aria-hidden="true" size={20} /> Add …
            </Button>
          }
          acts={[
            ...(empty ? [] : [{ name: 'Names', does: () => open('names') }]),
            { name: 'A class list', does: () => open('list') },
            ...(plants ? [{ name: 'A plant for everyone', does: plant }] : []),
            { name: 'Another group', does: () => open('group') },
          ]}
        />
      </div>
      <div className="basis-full">
        <p role="status" className={now.said ? 'text-green' : ''}>
          {now.said}
        </p>
        {now.made && now.made.length > 0 && <TakeBack key={now.made.join()} ids={now.made} />}
        <ErrorMessage>{now.error}</ErrorMessage>
        {empty && (
          <div className="mt-2 max-w-md">
            <AddChildren groupId={props.groupId} done={done} />
          </div>
        )}
      </div>
      <Dialog open={adding === 'names'} onOpenChange={close} title={`Add names to ${props.groupName}`}>
        <AddChildren groupId={props.groupId} done={done} />
      </Dialog>
      <Dialog
        open={adding === 'list'}
        onOpenChange={close}
        title="A class list"
        description="Bring in names from a register or a spreadsheet, for one group or for several."
      >
        {adding === 'list' && <Reading {...props} done={done} />}
      </Dialog>
      <Dialog open={adding === 'group'} onOpenChange={close} title="Another group">
        <AddGroup done={done} />
      </Dialog>
    </>
  );
}
