'use client';

import { eraseChild, eraseGroup, renameChild, renameGroup } from '@/actions/groups';
import { NameMenu } from '../kit/name-menu';
import { menus as say } from './text';

interface Named {
  readonly id: string;
  readonly name: string;
}

/** Rename a child, or erase them with every answer of theirs. */
export const ChildMenu = ({ child }: { child: Named }) => (
  <NameMenu
    name={child.name}
    eraseLabel={say.eraseAnswers(child.name)}
    warning={say.erasesEveryAnswer(child.name)}
    onRename={(name) => renameChild(child.id, name)}
    onErase={() => eraseChild(child.id)}
  />
);

/** Rename a group, or erase it with its children and sessions. */
export const GroupMenu = ({ group, childCount }: { group: Named; childCount: number }) => (
  <NameMenu
    name={group.name}
    eraseLabel={say.eraseEverything(group.name)}
    warning={say.erasesSessionsAnswers(group.name, childCount)}
    onRename={(name) => renameGroup(group.id, name)}
    onErase={() => eraseGroup(group.id)}
  />
);
