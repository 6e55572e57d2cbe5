'use client';

import { Plus } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState, useTransition } from 'react';
import { plantGroup } from '@/actions/groups';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { Menu } from '../kit/menu';
import { ErrorMessage } from '../kit/message';
import { AddChildren, AddGroup } from './add-forms';
import type { ClassListProps } from './class-list-reading';
import { addMenu as say } from './text';

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
  const done = (said: string): void => {
    setNow({ said });
    close();
  };
  const plant = (): void =>
    begin(async () => {
      const state = await plantGroup(props.groupId).catch(() => ({ error: say.serverCannotReached }));
      setNow(state.error ? { error: state.error } : { said: say.planted });
    });
  return (
    <>
      <div className="ml-auto">
        <Menu
          trigger={
            <Button>
              <Plus aria-hidden="true" size={20} /> {say.add}
            </Button>
          }
          acts={[
            ...(empty ? [] : [{ name: say.names, does: () => open('names') }]),
            { name: say.classList, does: () => open('list') },
            ...(plants ? [{ name: say.plants, does: plant }] : []),
            { name: say.anotherGroup, does: () => open('group') },
          ]}
        />
      </div>
      <div className="basis-full">
        <p role="status" className={now.said ? 'text-green' : ''}>
          {now.said}
        </p>
        {now.error && <ErrorMessage>{now.error}</ErrorMessage>}
        {empty && (
          <div className="mt-2 max-w-md">
            <AddChildren groupId={props.groupId} done={done} />
          </div>
        )}
      </div>
      <Dialog open={adding === 'names'} onOpenChange={close} title={say.addNamesTo(props.groupName)}>
        <AddChildren groupId={props.groupId} done={done} />
      </Dialog>
      <Dialog open={adding === 'list'} onOpenChange={close} title={say.aClassList} description={say.fromYourRegister}>
        {adding === 'list' && <Reading {...props} done={done} />}
      </Dialog>
      <Dialog open={adding === 'group'} onOpenChange={close} title={say.anotherGroup}>
        <AddGroup done={done} />
      </Dialog>
    </>
  );
}
