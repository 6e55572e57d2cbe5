'use client';

import { eraseChild, eraseGroup, renameChild, renameGroup } from '@/actions/groups';
import { NameMenu } from '../kit/name-menu';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** Rename a child, or erase them with every answer of theirs. */
export const ChildMenu = ({ child }: { child: Named }) => (
  <NameMenu
    name={child.name}
    eraseLabel={`Erase ${child.name} and their answers`}
    warning={
      `This erases ${child.name} and every answer of theirs from this file, in every session. It cannot be ` +
      'undone; a backup you made earlier still holds them.'
    }
    onRename={(name) => renameChild(child.id, name)}
    onErase={() => eraseChild(child.id)}
  />
);

/** Rename a group, or erase it with its children and sessions. */
export const GroupMenu = ({ group, childCount }: { group: Named; childCount: number }) => (
  <NameMenu
    name={group.name}
    eraseLabel={`Erase ${group.name} and everything in it`}
    warning={
      `This erases ${group.name}, its ${childCount} ${childCount === 1 ? 'child' : 'children'}, and all its ` +
      'sessions and answers from this file. It cannot be undone; a backup you made earlier still holds them.'
    }
    onRename={(name) => renameGroup(group.id, name)}
    onErase={() => eraseGroup(group.id)}
  />
);
