'use client';

import { EllipsisVertical } from 'lucide-react';
import { useState, useTransition } from 'react';
import {
  eraseChild,
  eraseGroup,
  mergeGroup,
  moveToGroup,
  putOutOfSight,
  renameChild,
  renameGroup,
} from '@/actions/groups';
import { Alert } from '../kit/alert';
import { Menu } from '../kit/menu';
import { ErrorMessage } from '../kit/message';
import { RenameDialog } from '../kit/rename-dialog';
import { menus as say } from './text';

interface Named {
  readonly id: string;
  readonly name: string;
}
type Does = () => Promise<{ readonly error?: string }>;

const Dots = ({ name, ...rest }: { readonly name: string }) => (
  <button
    type="button"
    aria-label={say.change(name)}
    className="grid size-12 place-items-center rounded-lg text-muted hover:bg-card hover:text-ink"
    {...rest}
  >
    <EllipsisVertical aria-hidden="true" size={20} />
  </button>
);

/** What is asked before something is done that cannot be taken back. */
interface Asked {
  readonly title: string;
  readonly warning: string;
  readonly keep: string;
  readonly does: string;
  readonly act: Does;
}

/** Asks, does it, and says what went wrong; the answer to “did it work” goes to `done`. */
function Ask({ asked, close, done }: { readonly asked: Asked | null; close: () => void; done: () => void }) {
  const [error, setError] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const act = (): void =>
    begin(async () => {
      if (!asked) return;
      const state = await asked.act().catch(() => ({ error: say.serverCannotReached }));
      setError(state.error ?? null);
      if (state.error) return;
      close();
      done();
    });
  return (
    <Alert
      open={asked !== null}
      onOpenChange={(open) => {
        setError(null);
        if (!open) close();
      }}
      title={asked?.title ?? ''}
      description={asked?.warning ?? ''}
      keep={asked?.keep ?? ''}
      does={asked?.does ?? ''}
      busy={busy}
      onDo={act}
    >
      {error && (
        <div className="mt-4">
          <ErrorMessage>{error}</ErrorMessage>
        </div>
      )}
    </Alert>
  );
}

interface ChildMenuProps {
  readonly child: Named;
  /** Other groups, to move to. */
  readonly groups: readonly Named[];
  /** Something was done, or went wrong: to be told beside the list. */
  readonly tell: (said: { readonly said?: string; readonly error?: string }) => void;
}

/** Rename a child, move them to another group, take them out of sight, or erase them with every answer of theirs. */
export function ChildMenu({ child: { id, name }, groups, tell }: ChildMenuProps) {
  const [renaming, setRenaming] = useState(false);
  const [asked, setAsked] = useState<Asked | null>(null);
  const [, begin] = useTransition();
  const run = (act: Does, said: string): void =>
    begin(async () => {
      const state = await act().catch(() => ({ error: say.serverCannotReached }));
      tell(state.error ? { error: state.error } : { said });
    });
  const erase: Asked = {
    title: say.eraseTitle(name),
    warning: say.erasesEveryAnswer(name),
    keep: say.keep(name),
    does: say.eraseAnswers(name),
    act: () => eraseChild(id),
  };
  return (
    <>
      <Menu
        trigger={<Dots name={name} />}
        acts={[
          { name: say.rename, does: () => setRenaming(true) },
          ...(groups.length
            ? [
                {
                  name: say.moveTo,
                  acts: groups.map((group) => ({
                    name: group.name,
                    does: () => run(() => moveToGroup(id, group.id), say.moved(name, group.name)),
                  })),
                },
              ]
            : []),
          { name: say.outOfSight, does: () => run(() => putOutOfSight(id, true), say.isOut(name)) },
          { name: say.erase, does: () => setAsked(erase) },
        ]}
      />
      <RenameDialog name={name} open={renaming} onOpenChange={setRenaming} onRename={(next) => renameChild(id, next)} />
      <Ask asked={asked} close={() => setAsked(null)} done={() => tell({ said: say.erased(name) })} />
    </>
  );
}

interface GroupMenuProps {
  readonly group: Named;
  readonly childCount: number;
  readonly groups: readonly Named[];
}

/** Rename a group, put it together with another, or erase it with its children and sessions. */
export function GroupMenu({ group: { id, name }, childCount, groups }: GroupMenuProps) {
  const [renaming, setRenaming] = useState(false);
  const [asked, setAsked] = useState<Asked | null>(null);
  const merge = (into: Named): Asked => ({
    title: say.mergeTitle(name, into.name),
    warning: say.mergeGoes(name, into.name),
    keep: say.keepBoth,
    does: say.mergeDoes(into.name),
    act: () => mergeGroup(id, into.id),
  });
  const erase: Asked = {
    title: say.eraseTitle(name),
    warning: say.erasesSessionsAnswers(name, childCount),
    keep: say.keep(name),
    does: say.eraseEverything(name),
    act: () => eraseGroup(id),
  };
  return (
    <>
      <Menu
        trigger={<Dots name={name} />}
        acts={[
          { name: say.rename, does: () => setRenaming(true) },
          ...(groups.length
            ? [
                {
                  name: say.mergeWith,
                  acts: groups.map((into) => ({ name: into.name, does: () => setAsked(merge(into)) })),
                },
              ]
            : []),
          { name: say.erase, does: () => setAsked(erase) },
        ]}
      />
      <RenameDialog name={name} open={renaming} onOpenChange={setRenaming} onRename={(next) => renameGroup(id, next)} />
      <Ask asked={asked} close={() => setAsked(null)} done={() => undefined} />
    </>
  );
}
