'use client';

import { useRouter } from 'next/navigation';
import { EllipsisVertical } from 'lucide-react';
import { useState, useTransition, type ComponentProps } from 'react';
import { eraseGroup, mergeGroup, moveToGroup, putOutOfSight, renameChild, renameGroup } from '@/actions/groups';
import { Alert } from '../kit/alert';
import { CompanyDialog } from './company';
import { Menu } from '../kit/menu';
import { ErrorMessage } from '../kit/message';
import { RenameDialog } from '../kit/rename-dialog';
import { unreached } from '../kit/unreached';

const eraseName = (name: string) => `Erase ${name}?`;

const keepName = (name: string) => `Keep ${name}`;

const whatErasingTakes = (name: string, childCount: number) =>
  `This erases ${name}, its ${childCount} ${childCount === 1 ? 'child' : 'children'}, and all its sessions and ` +
  'answers. You can’t undo it. Older backups still hold them until they go, but putting one back erases them again.';

interface Named {
  readonly id: string;
  readonly name: string;
}
type Does = () => Promise<{ readonly error?: string }>;

const Dots = ({ name, ...rest }: { readonly name: string }) => (
  <button
    type="button"
    aria-label={`Change ${name}`}
    className="grid size-12 place-items-center rounded-lg text-muted hover:bg-card hover:text-ink"
    {...rest}
  >
    <EllipsisVertical aria-hidden="true" size={20} />
  </button>
);

/** What is asked before something is done that cannot be taken back. */
interface ToConfirm {
  readonly title: string;
  readonly warning: string;
  readonly keep: string;
  readonly does: string;
  readonly act: Does;
}

/** Asks, does it, and says what went wrong. */
function Ask({ asked, close }: { readonly asked: ToConfirm | null; readonly close: () => void }) {
  const [error, setError] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const act = (): void =>
    begin(async () => {
      if (!asked) return;
      const state = await asked.act().catch(unreached('Nothing was changed.'));
      setError(state.error ?? null);
      if (state.error) return;
      close();
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
      <ErrorMessage className="mt-4">{error}</ErrorMessage>
    </Alert>
  );
}

type Acts = ComponentProps<typeof Menu>['acts'];

interface ChangesProps {
  readonly name: string;
  readonly onRename: (name: string) => Promise<{ readonly error?: string }>;
  /** What else can be done; some of it asks first. */
  readonly acts: (ask: (asked: ToConfirm) => void) => Acts;
}

/** A menu of what has a name: rename it first, then the rest. */
function Changes({ name, onRename, acts }: ChangesProps) {
  const [renaming, setRenaming] = useState(false);
  const [asked, setAsked] = useState<ToConfirm | null>(null);
  return (
    <>
      <Menu
        trigger={<Dots name={name} />}
        acts={[{ name: 'Rename…', does: () => setRenaming(true) }, ...acts(setAsked)]}
      />
      <RenameDialog name={name} open={renaming} onOpenChange={setRenaming} onRename={onRename} />
      <Ask asked={asked} close={() => setAsked(null)} />
    </>
  );
}

/** An act for each of other groups under one name; none where there is no other group. */
const forGroups = (name: string, groups: readonly Named[], does: (group: Named) => void): Acts =>
  groups.length ? [{ name, acts: groups.map((group) => ({ name: group.name, does: () => does(group) })) }] : [];

interface ChildMenuProps {
  readonly child: ComponentProps<typeof CompanyDialog>['child'];
  /** The others of the list. */
  readonly others: readonly Named[];
  /** Other groups, to move to. */
  readonly groups: readonly Named[];
  /** Something was done, or went wrong: to be told beside the list. */
  readonly tell: (said: { readonly said?: string; readonly error?: string }) => void;
}

/** Rename a child, move them to another group, take them out of sight, or erase them with every answer of theirs. */
export function ChildMenu({ child, others, groups, tell }: ChildMenuProps) {
  const { id, name } = child;
  const [grouping, setGrouping] = useState(false);
  const router = useRouter();
  const [, begin] = useTransition();
  const run = (act: Does, said: string): void =>
    begin(async () => {
      const state = await act().catch(unreached('Nothing was changed.'));
      tell(state.error ? { error: state.error } : { said });
    });
  return (
    <>
      <Changes
        name={name}
        onRename={(next) => renameChild(id, next)}
        acts={() => [
          { name: 'Days and groups…', does: () => setGrouping(true) },
          ...forGroups('Move to', groups, (to) =>
            run(() => moveToGroup(id, to.id), `${name} is in ${to.name} now, with all their answers.`),
          ),
          {
            name: 'Take off the list (keep everything)',
            does: () => run(() => putOutOfSight(id, true), `${name} is off the list. You can bring them back below.`),
          },
          { name: 'Their file, and erasing…', does: () => router.push(`/children/${id}#files`) },
        ]}
      />
      {grouping && <CompanyDialog child={child} others={others} open onOpenChange={setGrouping} />}
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
  const merge = (into: Named): ToConfirm => ({
    title: `Combine ${name} with ${into.name}?`,
    warning:
      `Its children, sessions and plans move to ${into.name}, and ${name} won’t be there any more. No answers are ` +
      `lost. What either group was taught counts as taught, and the ages stay as they are in ${into.name}.`,
    keep: 'Keep them separate',
    does: `Combine them in ${into.name}`,
    act: () => mergeGroup(id, into.id),
  });
  const erase: ToConfirm = {
    title: eraseName(name),
    warning: whatErasingTakes(name, childCount),
    keep: keepName(name),
    does: `Erase ${name} and everything in it`,
    act: () => eraseGroup(id),
  };
  return (
    <Changes
      name={name}
      onRename={(next) => renameGroup(id, next)}
      acts={(ask) => [
        ...forGroups('Combine with', groups, (into) => ask(merge(into))),
        { name: 'Erase…', does: () => ask(erase) },
      ]}
    />
  );
}
