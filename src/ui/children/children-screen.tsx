import type { Group } from '@/server/people/groups';
import { AgeBandField } from './age-band';
import { AddChildren, AddGroup } from './add-forms';
import { ClassListButton } from './class-list';
import { GroupMenu } from './menus';
import { NamesList } from './names-list';
import { PlantAll } from './plant-all';
import { childrenScreen as say } from './text';

interface ChildrenProps {
  readonly group: Group;
  /** Every group of the setting. */
  readonly all: readonly Group[];
  readonly country: 'gb' | 'us';
}

/** The group's names: add on lines, away in one tap, rename, take out. */
export function ChildrenScreen({ group, all, country }: ChildrenProps) {
  const groups = all.filter((g) => g.id !== group.id).map(({ id, name }) => ({ id, name }));
  const here = Object.fromEntries(
    all.map((g) => [g.name.toLocaleLowerCase(), g.children.map((c) => c.name.toLocaleLowerCase())]),
  );
  return (
    <div className="grid gap-x-16 gap-y-10 lg:grid-cols-[1fr_24rem]">
      <section>
        <div className="mb-1 flex items-center gap-2">
          <h1 className="min-w-0 text-4xl wrap-anywhere">{group.name}</h1>
          <GroupMenu key={group.id} group={group} childCount={group.children.length} groups={groups} />
        </div>
        <p className="mb-5 text-lg text-muted">
          {group.children.length ? say.nameLeadsChilds(group.children.length) : say.childrensNamesStand}
        </p>
        <div className="mb-5">
          <AgeBandField key={group.id} group={group} country={country} />
        </div>
        <NamesList key={group.id} group={group} groups={groups} />
        {group.children.some((c) => !c.plant) && (
          <div className="mt-4 flex flex-wrap items-center gap-3">
            <PlantAll groupId={group.id} />
            <p className="text-muted">{say.plantHelps}</p>
          </div>
        )}
      </section>
      <div className="flex flex-col gap-10">
        <AddChildren key={group.id} groupId={group.id} groupName={group.name} />
        <ClassListButton groupId={group.id} groupName={group.name} here={here} />
        <AddGroup />
        <p className="text-[0.95rem] text-muted">{say.keepLeastJob}</p>
      </div>
    </div>
  );
}
