import Link from 'next/link';
import type { Group } from '@/server/people/groups';
import { AgeBandField } from './age-band';
import { AddChildren, AddGroup } from './add-forms';
import { AwayButton } from './away-button';
import { ChildMenu, GroupMenu } from './menus';
import { OwnWayButton } from './own-way';
import { PlantAll } from './plant-all';
import { PlantButton } from './plant-button';
import { childrenScreen as say } from './text';

/** The group's names: add on lines, away in one tap, rename, take out. */
export function ChildrenScreen({ group, country }: { group: Group; country: 'gb' | 'us' }) {
  return (
    <div className="grid gap-x-16 gap-y-10 lg:grid-cols-[1fr_24rem]">
      <section>
        <div className="mb-1 flex items-center gap-2">
          <h1 className="min-w-0 text-4xl wrap-anywhere">{group.name}</h1>
          <GroupMenu key={group.id} group={group} childCount={group.children.length} />
        </div>
        <p className="mb-5 text-lg text-muted">
          {group.children.length ? say.nameLeadsChilds(group.children.length) : say.childrensNamesStand}
        </p>
        <div className="mb-5">
          <AgeBandField key={group.id} group={group} country={country} />
        </div>
        {group.children.length > 0 && (
          <ul className="divide-y divide-line border-y border-line">
            {group.children.map((child) => (
              <li key={child.id} className="flex flex-wrap items-center gap-x-2">
                <PlantButton child={child} taken={group.children.filter((c) => c !== child).map((c) => c.plant)} />
                <Link
                  href={`/children/${child.id}`}
                  className="min-w-0 flex-1 py-3 font-word text-xl wrap-anywhere hover:underline max-sm:basis-3/4"
                >
                  {child.name}
                </Link>
                <AwayButton child={child} named={false} />
                <OwnWayButton child={child} />
                <ChildMenu child={child} />
              </li>
            ))}
          </ul>
        )}
        {group.children.some((c) => !c.plant) && (
          <div className="mt-4 flex flex-wrap items-center gap-3">
            <PlantAll groupId={group.id} />
            <p className="text-muted">{say.plantHelps}</p>
          </div>
        )}
      </section>
      <div className="flex flex-col gap-10">
        <AddChildren key={group.id} groupId={group.id} groupName={group.name} />
        <AddGroup />
        <p className="text-[0.95rem] text-muted">{say.keepLeastJob}</p>
      </div>
    </div>
  );
}
